import { type Answer, errorAt } from '@/contract/answer';
import { BREAK_IN_SCHOOLS, type BreakInSchool } from '@/core/break-in/schools';
import { dayOf } from '@/core/calendar/days';
import type { BoxLabel } from '@/core/catalogue/model';
import { numberQuestion } from '@/core/findings/finding-kinds';
import { FEWEST_PAIRS, MOST_PAIRS, USUAL_PAIRS } from '@/core/lacing/eyelets';
import { LACE_KINDS } from '@/core/lacing/laces';
import type { StepContents } from '@/core/visit/contents';
import type { Clock } from '@/core/wear/clocks';
import { Choice } from '@/ui/fields/Choice';
import { DayInput } from '@/ui/fields/DayInput';
import { Field } from '@/ui/fields/Field';
import { Measure } from '@/ui/fields/Measure';
import { Select } from '@/ui/fields/Select';

type Content = StepContents['hand-over'];

const WEEKLY = numberQuestion('Distance a week in this pair', 'km', [0, 400], { plausible: [0, 150] });
const WEEKLY_USE = {
  hours: numberQuestion('Hours a week in this pair', 'hours', [0, 168], { plausible: [0, 25] }),
  'hours-on-feet': numberQuestion('Hours a week on the feet in it', 'hours', [0, 168], {
    plausible: [0, 70],
  }),
  'days-worn': numberQuestion('Days a week worn', 'count', [0, 7]),
} as const;
const MINUTES = numberQuestion('Usual outing, minutes', 'count', [0, 1440], { plausible: [5, 300] });

interface Props {
  /** How the clinic breaks pairs in where nothing else is said. */
  school: BreakInSchool;
  hasLaces: boolean;
  clock: Clock;
  /** What its box says, as far as anybody read it. */
  box: BoxLabel;
  content: Content;
  typed: Readonly<Record<string, string>>;
  answer: Answer<unknown> | null;
  save: (part: Partial<Content>, typed?: Record<string, string>) => void;
}

/** How the pair starts: its first day, where and how much it will be used, and what its box says. */
export function PairStart({ school, hasLaces, clock, box, content, typed, answer, save }: Props) {
  const text = (name: string, value: string | undefined) => {
    const { [name]: _, ...rest } = typed;
    return value === undefined ? rest : { ...rest, [name]: value };
  };
  return (
    <>
      <div className="flex flex-wrap gap-x-5 gap-y-2 items-start">
        <Field label="First use" error={errorAt(answer, 'startedOn')}>
          {(control) => (
            <DayInput
              value={content.startedOn ?? dayOf(new Date())}
              onChange={(startedOn) => save({ startedOn: startedOn || undefined })}
              {...control}
            />
          )}
        </Field>
        <Choice
          label="Ground, mostly"
          options={{ hard: 'hard', mixed: 'mixed', soft: 'soft' }}
          value={content.surface}
          onChange={(surface) => save({ surface: surface })}
        />
        {clock === 'km' ? (
          <Measure
            definition={WEEKLY}
            value={content.weeklyKm}
            typed={typed.weeklyKm}
            onChange={(weeklyKm, typed) => save({ weeklyKm }, text('weeklyKm', typed))}
          />
        ) : (
          <Measure
            definition={WEEKLY_USE[clock]}
            value={content.weeklyUse}
            typed={typed.weeklyUse}
            onChange={(weeklyUse, typed) => save({ weeklyUse }, text('weeklyUse', typed))}
          />
        )}
        <Measure
          definition={MINUTES}
          value={content.usualMinutes}
          typed={typed.usualMinutes}
          onChange={(usualMinutes, typed) => save({ usualMinutes }, text('usualMinutes', typed))}
        />
      </div>
      <div className="flex flex-wrap gap-x-5 gap-y-2 items-end">
        <Field label="Made on" error={errorAt(answer, 'madeOn')}>
          {(control) => (
            <DayInput
              value={box.madeOn ?? ''}
              onChange={(madeOn) => save({ madeOn: madeOn || undefined })}
              {...control}
            />
          )}
        </Field>
        <label>
          <span className="block text-faint">Batch, as the box says</span>
          <input
            className="w-32"
            maxLength={60}
            value={box.batch ?? ''}
            onChange={({ target }) => save({ batch: target.value || undefined })}
          />
        </label>
        <label className="pb-1.5">
          <input
            type="checkbox"
            checked={content.hills ?? false}
            onChange={({ target }) => save({ hills: target.checked || undefined })}
          />{' '}
          hilly
        </label>
        <label className="pb-1.5">
          <input
            type="checkbox"
            checked={content.heat ?? false}
            onChange={({ target }) => save({ heat: target.checked || undefined })}
          />{' '}
          kept or worn in heat
        </label>
        <label className="pb-1.5">
          <input
            type="checkbox"
            checked={content.wet ?? false}
            onChange={({ target }) => save({ wet: target.checked || undefined })}
          />{' '}
          worn in the wet
        </label>
      </div>
      <div className="flex flex-wrap gap-x-5 gap-y-2 items-end">
        <Select
          label="Breaking in"
          none={`as the clinic does: ${BREAK_IN_SCHOOLS[school]}`}
          options={BREAK_IN_SCHOOLS}
          value={content.breakIn}
          onChange={(breakIn) => save({ breakIn })}
        />
        {hasLaces && (
          <>
            <label>
              <span className="block text-faint">Eyelet pairs</span>
              <input
                className="figure w-16 text-right"
                inputMode="numeric"
                placeholder={String(USUAL_PAIRS)}
                defaultValue={content.eyeletPairs ?? ''}
                onChange={({ target }) => {
                  const pairs = Number(target.value);
                  const isRight = Number.isInteger(pairs) && pairs >= FEWEST_PAIRS && pairs <= MOST_PAIRS;
                  target.setCustomValidity(
                    target.value === '' || isRight ? '' : `From ${FEWEST_PAIRS} to ${MOST_PAIRS} pairs.`,
                  );
                  target.reportValidity();
                  save({ eyeletPairs: isRight ? pairs : undefined });
                }}
              />
            </label>
            <Choice
              label="Laces"
              options={LACE_KINDS}
              value={content.laces}
              onChange={(laces) => save({ laces })}
            />
          </>
        )}
      </div>
    </>
  );
}
