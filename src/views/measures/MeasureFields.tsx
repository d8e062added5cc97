import { useState } from 'react';
import { definitionOf, FINDINGS } from '@/core/findings/findings';
import { COMFORT_ZONES } from '@/core/fitting/try-on';
import { GAIT_MEASURES, gaitName, sidesOf } from '@/core/outcomes/gait-number';
import { SKIN_SIGNS, type SkinAt, type SkinSign } from '@/core/outcomes/outcome';
import { keysOf } from '@/core/tables/keys-of';
import { UNIT_LABEL } from '@/core/units/parse';
import { SpotMap } from '@/ui/drawing/SpotMap';
import { Choice } from '@/ui/fields/Choice';
import { Field } from '@/ui/fields/Field';
import { fieldOf, type MeasureDraft, type PlainMeasure } from './measure-draft';

interface Props {
  draft: MeasureDraft;
  onChange: (draft: MeasureDraft) => void;
  /** What is wrong at a field: what was typed there, or what the server said of it. */
  problemAt: (field: string) => string | undefined;
}

/** Comfort, pain, what the patient wants to do, use and falls of one day. */
export function MeasureFields({ draft, onChange, problemAt }: Props) {
  const text = (field: string, label: string) => (
    <TextField
      key={field}
      label={label}
      value={draft.texts[field] ?? ''}
      problem={problemAt(field)}
      onChange={(value) => onChange({ ...draft, texts: { ...draft.texts, [field]: value } })}
    />
  );
  const plain = (id: PlainMeasure, label: string) => text(id, label);
  const putActivity = (at: number, part: Partial<MeasureDraft['activities'][number]>) =>
    onChange({
      ...draft,
      activities: draft.activities.map((activity, each) =>
        each === at ? { ...activity, ...part } : activity,
      ),
    });
  return (
    <div className="grid gap-1.5 content-start">
      {plain('comfort', 'Comfort, 0–100')}
      <div className="grid grid-cols-[11rem_1fr] gap-x-2 items-baseline">
        <span className="text-faint">by part</span>
        <div className="flex flex-wrap gap-x-3">
          {keysOf(COMFORT_ZONES).map((zone) => (
            <Field
              key={zone}
              label={COMFORT_ZONES[zone]}
              error={problemAt(fieldOf.zone(zone))}
              className="grid-cols-[auto_3rem] gap-x-1 items-baseline"
            >
              {(control) => (
                <input
                  className="figure text-right"
                  inputMode="decimal"
                  value={draft.texts[fieldOf.zone(zone)] ?? ''}
                  onChange={({ target }) =>
                    onChange({ ...draft, texts: { ...draft.texts, [fieldOf.zone(zone)]: target.value } })
                  }
                  {...control}
                />
              )}
            </Field>
          ))}
        </div>
      </div>
      {plain('pain', 'Pain at its site, 0–10')}
      <fieldset className="grid gap-1">
        <legend className="text-faint">What they want to do, 0 not at all, 10 as before</legend>
        {draft.activities.map(({ name, score }, at) => (
          <div key={at} className="grid grid-cols-[11rem_5rem] gap-2">
            <input
              aria-label={`Activity ${at + 1}`}
              placeholder="stairs, market …"
              maxLength={60}
              value={name}
              onChange={({ target }) => putActivity(at, { name: target.value })}
            />
            <input
              aria-label={`Activity ${at + 1}, 0–10`}
              className="figure text-right"
              inputMode="decimal"
              value={score}
              aria-invalid={problemAt(`activity ${at}`) ? true : undefined}
              onChange={({ target }) => putActivity(at, { score: target.value })}
            />
            {problemAt(`activity ${at}`) && <span className="problem">{problemAt(`activity ${at}`)}</span>}
          </div>
        ))}
      </fieldset>
      {plain('hoursADay', 'Worn, hours a day')}
      {plain('daysAWeek', 'Worn, days a week')}
      {plain('falls', 'Falls and near-falls')}
      <details open={draft.texts.total || draft.texts.questionnaire ? true : undefined}>
        <summary className="cursor-pointer text-faint">Gait numbers, a questionnaire’s total</summary>
        <div className="grid gap-1 mt-1">
          {GAIT_MEASURES.flatMap((measure) =>
            sidesOf(measure).map((side) =>
              text(fieldOf.gait({ measure, side }), `${gaitName({ measure, side })}, ${unitOf(measure)}`),
            ),
          )}
          <Field label="Questionnaire" error={problemAt('questionnaire')}>
            {(control) => (
              <input
                maxLength={60}
                value={draft.texts.questionnaire ?? ''}
                onChange={({ target }) =>
                  onChange({ ...draft, texts: { ...draft.texts, questionnaire: target.value } })
                }
                {...control}
              />
            )}
          </Field>
          {text('total', 'Total')}
          <label>
            <input
              type="checkbox"
              checked={draft.moreIsBetter}
              onChange={({ target }) => onChange({ ...draft, moreIsBetter: target.checked })}
            />{' '}
            more is better
          </label>
          {text('realChange', 'Smallest real change, as published')}
          <p className="text-faint text-xs">
            Only the total: the items of a licensed questionnaire stay with it.
          </p>
        </div>
      </details>
    </div>
  );
}

const unitOf = (measure: (typeof GAIT_MEASURES)[number]): string => {
  const definition = definitionOf(measure);
  return definition.kind === 'number' ? UNIT_LABEL[definition.unit] : '';
};

function TextField({
  label,
  value,
  problem,
  onChange,
}: {
  label: string;
  value: string;
  problem: string | undefined;
  onChange: (text: string) => void;
}) {
  return (
    <Field
      label={label}
      error={problem}
      className="grid-cols-[11rem_5rem] gap-x-2 items-baseline [&_.problem]:col-span-2"
    >
      {(control) => (
        <input
          className="figure text-right"
          inputMode="decimal"
          value={value}
          onChange={({ target }) => onChange(target.value)}
          {...control}
        />
      )}
    </Field>
  );
}

const isAt = (mark: SkinAt, { side, place }: Pick<SkinAt, 'side' | 'place'>) =>
  mark.side === side && mark.place === place;

/** What is seen on the skin, where it is: a sign is chosen, then its places are pressed. */
export function SkinMarks({
  marks,
  onChange,
}: {
  marks: readonly SkinAt[];
  onChange: (marks: SkinAt[]) => void;
}) {
  const [sign, setSign] = useState<SkinSign>('redness');
  const press = (spot: Pick<SkinAt, 'side' | 'place'>) => {
    const here = marks.find((mark) => isAt(mark, spot));
    const rest = marks.filter((mark) => !isAt(mark, spot));
    onChange(here?.sign === sign ? rest : [...rest, { ...spot, sign }]);
  };
  return (
    <section aria-label="Skin where it is worn" className="grid gap-1 content-start justify-items-start">
      <h3>Skin where it is worn</h3>
      <Choice
        label="Mark with"
        options={SKIN_SIGNS}
        value={sign}
        onChange={(chosen) => setSign(chosen ?? sign)}
      />
      <SpotMap marked={marks} current={undefined} readOnly={false} onPress={press} />
      {marks.length === 0 ? (
        <p className="text-faint">Press where it is; nothing pressed means nothing was seen or looked for.</p>
      ) : (
        <ul>
          {marks.map((mark) => (
            <li key={`${mark.side} ${mark.place}`}>
              {mark.side}, {FINDINGS.rubbedAt.options[mark.place]}: {SKIN_SIGNS[mark.sign]}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
