import { PROSTHESIS_BOUNDS, type ProsthesisSettings, USUAL_PROSTHESIS } from '@/core/prosthesis/settings';
import { keysOf } from '@/core/tables/keys-of';
import { Field } from '@/ui/fields/Field';

const LABEL: Readonly<Record<keyof ProsthesisSettings, string>> = {
  fineMm: 'Fine within, mm',
  cautionMm: 'Caution within, mm',
  cautionDeg: 'Caution within, degrees',
  stopMm: 'Never beyond, mm',
  largestWedgeMm: 'Largest wedge, mm',
  firstWeeks: 'Weeks with one shoe',
};

interface Props {
  settings: ProsthesisSettings | undefined;
  onChange: (settings: ProsthesisSettings | undefined) => void;
}

/** How much mismatch may remain under a prosthetic foot, the largest wedge, and how long a new prosthesis keeps its shoe. */
export function ProsthesisLimits({ settings, onChange }: Props) {
  const shown = settings ?? USUAL_PROSTHESIS;
  return (
    <fieldset className="grid gap-1">
      <legend className="text-faint text-sm">
        Prosthetic feet: what may remain after any wedge, and the first weeks. A looser figure here lets
        through no shoe that the rule on drop blocks
      </legend>
      <div className="flex flex-wrap gap-3 items-end">
        {keysOf(PROSTHESIS_BOUNDS).map((id) => {
          const [least, most] = PROSTHESIS_BOUNDS[id];
          return (
            <Field key={id} label={LABEL[id]}>
              {(control) => (
                <input
                  className="figure w-20 text-right"
                  type="number"
                  min={least}
                  max={most}
                  step={id === 'firstWeeks' ? 1 : 0.5}
                  value={shown[id]}
                  onChange={({ target }) => {
                    if (target.value !== '') onChange({ ...shown, [id]: Number(target.value) });
                  }}
                  {...control}
                />
              )}
            </Field>
          );
        })}
        {settings && (
          <button type="button" className="press press-quiet" onClick={() => onChange(undefined)}>
            As usual: 3, 5, 2°, 10, 10, 12
          </button>
        )}
      </div>
    </fieldset>
  );
}
