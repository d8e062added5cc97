import type { Room } from '@/core/shoe/room';
import { ROOM_BOUNDS, USUAL_ROOM } from '@/core/shoe/room';
import { ALLOWANCES } from '@/core/sizing/allowances';
import { keysOf } from '@/core/tables/keys-of';
import { Field } from '@/ui/fields/Field';

interface Props {
  room: Room | undefined;
  onChange: (room: Room | undefined) => void;
}

const ENDS: Readonly<Record<keyof Room, string>> = { least: 'at least', wished: 'usually', most: 'at most' };

/** The clinic's usual room in front of the toes: one of the measures that practitioners lay there, or millimetres of its own. */
export function UsualRoom({ room, onChange }: Props) {
  const shown = room ?? USUAL_ROOM;
  return (
    <fieldset className="grid gap-1">
      <legend className="text-faint text-sm">
        Usual room in front of the toes. Sizes, fittings and hand-over go by it, within every limit
      </legend>
      <div className="flex flex-wrap gap-2">
        {ALLOWANCES.map(({ label, room: of }) => {
          const isChosen = keysOf(ENDS).every((end) => of[end] === shown[end]);
          return (
            <button
              key={label}
              type="button"
              aria-pressed={isChosen}
              className={`press ${isChosen ? 'press-main' : ''}`}
              onClick={() => onChange(of === USUAL_ROOM ? undefined : of)}
            >
              {label}
            </button>
          );
        })}
      </div>
      <div className="flex gap-3">
        {keysOf(ENDS).map((end) => (
          <Field key={end} label={`${ENDS[end]}, mm`}>
            {(control) => (
              <input
                className="figure w-20 text-right"
                type="number"
                min={ROOM_BOUNDS.least}
                max={ROOM_BOUNDS.most}
                step={0.5}
                value={shown[end]}
                onChange={({ target }) => {
                  if (target.value !== '') onChange({ ...shown, [end]: Number(target.value) });
                }}
                {...control}
              />
            )}
          </Field>
        ))}
      </div>
    </fieldset>
  );
}
