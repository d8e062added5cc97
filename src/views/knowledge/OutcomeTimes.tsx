import { useState } from 'react';
import type { OutcomeSchedule } from '@/core/knowledge/house-rules';
import { scheduleInWords, USUAL_SCHEDULE } from '@/core/outcomes/schedule';
import { Field } from '@/ui/fields/Field';

interface Props {
  schedule: OutcomeSchedule | undefined;
  onChange: (schedule: OutcomeSchedule | undefined) => void;
}

/** Weeks as they are typed: `2, 6, 12`; null where they are no rising whole numbers. */
function weeksOf(text: string): number[] | null {
  const weeks = text
    .split(/[\s,;]+/)
    .filter(Boolean)
    .map(Number);
  const rises = weeks.every(
    (week, at) => Number.isInteger(week) && week > (weeks[at - 1] ?? 0) && week <= 52,
  );
  return weeks.length > 0 && weeks.length <= 8 && rises ? weeks : null;
}

/** When outcomes of a pair are asked for: the clinic’s own weeks, then its own months; feet at risk more often as their category asks. */
export function OutcomeTimes({ schedule, onChange }: Props) {
  const shown = schedule ?? USUAL_SCHEDULE;
  const [typed, setTyped] = useState(shown.weeks.join(', '));
  const isWrong = weeksOf(typed) === null;
  const put = (part: Partial<OutcomeSchedule>) => onChange({ ...shown, ...part });
  return (
    <fieldset className="grid gap-1">
      <legend className="text-faint text-sm">
        When outcomes of a pair are asked for. Feet at risk are asked at least as often as their category says
      </legend>
      <div className="flex flex-wrap gap-3 items-end">
        <Field
          label="Weeks after the hand-over"
          error={isWrong ? 'Whole weeks in rising order up to 52, such as 2, 6, 12.' : undefined}
        >
          {(control) => (
            <input
              className="figure w-40"
              value={typed}
              onChange={({ target }) => {
                setTyped(target.value);
                const weeks = weeksOf(target.value);
                if (weeks) put({ weeks });
              }}
              {...control}
            />
          )}
        </Field>
        <Field label="Then every, months">
          {(control) => (
            <input
              className="figure w-20 text-right"
              type="number"
              min={1}
              max={12}
              value={shown.thenMonths}
              onChange={({ target }) => {
                if (target.value !== '') put({ thenMonths: Number(target.value) });
              }}
              {...control}
            />
          )}
        </Field>
        {schedule && (
          <button
            type="button"
            className="press press-quiet"
            onClick={() => {
              setTyped(USUAL_SCHEDULE.weeks.join(', '));
              onChange(undefined);
            }}
          >
            As usual: {scheduleInWords(USUAL_SCHEDULE)}
          </button>
        )}
      </div>
    </fieldset>
  );
}
