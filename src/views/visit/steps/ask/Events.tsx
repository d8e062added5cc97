import { dayOf } from '@/core/calendar/days';
import { FINDINGS } from '@/core/findings/findings';
import type { DatedEvent } from '@/core/visit/contents';
import { beforeEventInWords, nextEvent } from '@/core/visit/from-uses';
import { Amount } from '@/ui/fields/Amount';
import { DayInput } from '@/ui/fields/DayInput';
import { Select } from '@/ui/fields/Select';
import { useStepContent } from '../../use-findings';
import { useExamined } from '../../visit-context';

const { tripGround, tripDescents } = FINDINGS;

/** Races and trips that are coming, and what may still be changed before the nearest. */
export function Events() {
  const { readOnly, visit, picture } = useExamined();
  const { content, change } = useStepContent('ask');
  const events = content.events ?? [];
  const { activities } = picture.body;
  const hikes = Array.isArray(activities) && activities.includes('hiking');
  const put = (at: number, part: { [K in keyof DatedEvent]?: DatedEvent[K] | undefined }) =>
    change({ events: events.map((entry, index) => (index === at ? { ...entry, ...part } : entry)) });
  const next = nextEvent(events, dayOf(visit.startedAt));
  return (
    <section aria-label="Events and trips ahead" className="content-start grid gap-2 max-w-3xl">
      <h2 className="text-base">Events and trips ahead</h2>
      {events.map((event, at) => (
        <div key={at} className="grid gap-1">
          <div className="flex gap-2 items-baseline">
            <input
              aria-label={`Event ${at + 1}`}
              className="grow min-w-0"
              value={event.name}
              placeholder="what it is"
              maxLength={120}
              onChange={({ target }) => put(at, { name: target.value })}
            />
            <DayInput
              aria-label={`Day of event ${at + 1}`}
              value={event.on ?? ''}
              onChange={(on) => put(at, { on: on || undefined })}
            />
            <Amount
              label={`Length of event ${at + 1}`}
              unit="km"
              value={event.km}
              most={1000}
              disabled={readOnly}
              onChange={(km) => put(at, { km })}
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
          {hikes && (
            <div className="flex flex-wrap gap-x-4 gap-y-1 items-baseline pl-4">
              <Amount
                label={`Days of event ${at + 1}`}
                unit="days"
                value={event.days}
                most={400}
                disabled={readOnly}
                onChange={(days) =>
                  put(at, { days: days === undefined ? undefined : Math.max(1, Math.round(days)) })
                }
              />
              <Amount
                label={`Load on event ${at + 1}`}
                unit="kg"
                value={event.loadKg}
                most={60}
                disabled={readOnly}
                onChange={(loadKg) => put(at, { loadKg })}
              />
              <Select
                quiet
                label={`Ground of event ${at + 1}`}
                none="ground …"
                options={tripGround.options}
                value={event.ground}
                disabled={readOnly}
                onChange={(ground) => put(at, { ground })}
              />
              <Select
                quiet
                label={`Descents of event ${at + 1}`}
                none="descents …"
                options={DESCENTS}
                value={event.descents}
                disabled={readOnly}
                onChange={(descents) => put(at, { descents })}
              />
            </div>
          )}
        </div>
      ))}
      {next && (
        <p className="text-hold">
          {next.event.name || 'The next event'}: {next.inDays} days. {beforeEventInWords(next.inDays)}
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
  );
}

const DESCENTS = {
  few: `${tripDescents.options.few} descents`,
  long: `${tripDescents.options.long} descents`,
};
