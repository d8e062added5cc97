import { useState } from 'react';
import { dayOf } from '@/core/calendar/days';
import { FINDINGS } from '@/core/findings/findings';
import { parseDistance } from '@/core/units/distance';
import { parseNumber } from '@/core/units/quantity';
import { beforeEventInWords, nextEvent } from '@/core/visit/from-uses';
import { Field } from '@/ui/fields/Field';
import { useStepContent } from '../use-findings';
import { useVisit } from '../visit-context';

type Activity = keyof typeof FINDINGS.activities.options;

/** How much of each chosen activity in a usual week, and events that are coming. */
export function Uses() {
  const { readOnly, visit } = useVisit();
  const { content, change } = useStepContent('ask');
  const uses = content.uses ?? [];
  const events = content.events ?? [];
  const activities = content.findings.body?.activities ?? [];
  const put = (activity: Activity, part: { minutes?: number | undefined; km?: number | undefined }) =>
    change({
      uses: [
        ...uses.filter((use) => use.activity !== activity),
        { activity, ...uses.find((use) => use.activity === activity), ...part },
      ],
    });
  const next = nextEvent(events, dayOf(visit.startedAt));
  const km = uses.reduce((sum, use) => sum + (use.km ?? 0), 0);
  return (
    <div className="grid grid-cols-2 gap-8">
      <section aria-label="In a usual week" className="content-start grid gap-1 min-w-0">
        <h2 className="text-base">In a usual week</h2>
        {activities.length === 0 && <p className="text-faint">Choose activities under “What for” first.</p>}
        {activities.map((activity) => {
          const use = uses.find((entry) => entry.activity === activity);
          const name = FINDINGS.activities.options[activity];
          return (
            <div key={activity} className="grid grid-cols-[1fr_auto_auto] gap-3 items-baseline">
              <span>{name}</span>
              <Amount
                label={`${name}, minutes a week`}
                unit="min"
                value={use?.minutes}
                most={10_080}
                disabled={readOnly}
                onChange={(minutes) => put(activity, { minutes })}
              />
              <Amount
                label={`${name}, kilometres a week`}
                unit="km"
                value={use?.km}
                most={400}
                disabled={readOnly}
                onChange={(value) => put(activity, { km: value })}
              />
            </div>
          );
        })}
        {km > 0 && <p className="text-faint figure">{Math.round(km * 10) / 10} km a week together.</p>}
      </section>
      <section aria-label="Events ahead" className="content-start grid gap-1 min-w-0">
        <h2 className="text-base">Events ahead</h2>
        {events.map((event, at) => (
          <div key={at} className="flex gap-2 items-baseline">
            <input
              aria-label={`Event ${at + 1}`}
              className="grow min-w-0"
              value={event.name}
              placeholder="what it is"
              maxLength={120}
              onChange={(input) =>
                change({
                  events: events.map((entry, index) =>
                    index === at ? { ...entry, name: input.target.value } : entry,
                  ),
                })
              }
            />
            <input
              type="date"
              aria-label={`Day of event ${at + 1}`}
              value={event.on ?? ''}
              onChange={(input) =>
                change({
                  events: events.map((entry, index) =>
                    index === at ? { ...entry, on: input.target.value || undefined } : entry,
                  ),
                })
              }
            />
            <Amount
              label={`Length of event ${at + 1}`}
              unit="km"
              value={event.km}
              most={1000}
              disabled={readOnly}
              onChange={(km) =>
                change({
                  events: events.map((entry, index) => (index === at ? { ...entry, km } : entry)),
                })
              }
            />
            <button
              type="button"
              className="press press-quiet"
              aria-label={`Remove event ${at + 1}`}
              onClick={() => change({ events: events.filter((_, index) => index !== at) })}
            >
              remove
            </button>
          </div>
        ))}
        {next && (
          <p className="text-hold">
            {next.name || 'The next event'}: {next.days} days. {beforeEventInWords(next.days)}
          </p>
        )}
        <button
          type="button"
          className="press justify-self-start"
          disabled={readOnly || events.length >= 12}
          onClick={() => change({ events: [...events, { name: '' }] })}
        >
          Add an event
        </button>
      </section>
    </div>
  );
}

interface AmountProps {
  label: string;
  unit: 'min' | 'km';
  value: number | undefined;
  most: number;
  disabled: boolean;
  onChange: (value: number | undefined) => void;
}

/** A small amount a week; what is no number or too much stays out, and its field says why. */
function Amount({ label, unit, value, most, disabled, onChange }: AmountProps) {
  const [error, setError] = useState<string | undefined>();
  const take = (text: string) => {
    const typed = text.trim();
    const read =
      typed === ''
        ? null
        : unit === 'km'
          ? parseDistance(typed)
          : parseNumber(typed, 'Minutes are a number.');
    const wrong =
      read === null
        ? undefined
        : !read.ok
          ? read.problem.message
          : read.value < 0 || read.value > most
            ? `Up to ${most} ${unit}.`
            : undefined;
    setError(wrong);
    if (!wrong) onChange(read?.ok ? Math.round(read.value * 10) / 10 : undefined);
  };
  return (
    <Field label={label} quiet error={error} className="max-w-32">
      {(control) => (
        <span className="flex gap-1 items-baseline">
          <input
            className="figure w-16 text-right"
            inputMode="decimal"
            disabled={disabled}
            defaultValue={value ?? ''}
            onChange={({ target }) => take(target.value)}
            {...control}
          />
          <span className="text-faint">{unit}</span>
        </span>
      )}
    </Field>
  );
}
