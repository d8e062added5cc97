import { dayOf, daysBetween, type IsoDay } from '../calendar/days';
import type { Findings } from '../findings/picture';
import { memoize } from '../memo/memoize';
import type { StepContents } from './contents';

/** A build-up is under way from so many days before its event: twelve weeks. Ours. */
const BUILD_UP_DAYS = 84;
/** Kilometres up to which an event counts as short. */
const SHORT_KM = 10;

type Ask = Pick<StepContents['ask'], 'uses' | 'events'>;

/** The next dated event with a length that lies within a build-up of a day, or null. */
export function nextEvent(events: NonNullable<Ask['events']>, on: IsoDay) {
  const ahead = events.flatMap(({ name, on: day, km }) => {
    if (day === undefined || km === undefined) return [];
    const days = daysBetween(on, day);
    return days >= 0 && days <= BUILD_UP_DAYS ? [{ name, on: day, km, days }] : [];
  });
  return ahead.reduce<(typeof ahead)[number] | null>(
    (next, event) => (next && next.days <= event.days ? next : event),
    null,
  );
}

function fromUses({ uses = [], events = [] }: Ask, startedAt: string): Findings {
  const km = uses.reduce((sum, use) => sum + (use.km ?? 0), 0);
  const isSaid = uses.some((use) => use.km !== undefined);
  const next = nextEvent(events, dayOf(startedAt));
  const dated = events.some(({ on }) => on !== undefined);
  return {
    body: {
      ...(isSaid ? { weeklyDistance: Math.round(km * 10) / 10 } : {}),
      ...(next
        ? { eventAhead: next.km <= SHORT_KM ? ('short' as const) : ('long' as const) }
        : dated && events.every(({ on, km: length }) => on !== undefined && length !== undefined)
          ? { eventAhead: 'none' as const }
          : {}),
    },
  };
}

/**
 * What follows from how much of each activity fills a week, and from dated events, so that it is never asked twice: the
 * distance a week, and whether a build-up is under way on the day of the visit. What was entered at the question itself counts
 * first.
 */
export const findingsOfUses = memoize(fromUses);

/** What may still be changed before an event: as long as breaking in takes (handbook 07: eight weeks for a large change, two for any). */
const LARGE_CHANGE_DAYS = 56;
const BREAK_IN_DAYS = 14;

/**
 * @param days from today to the event
 * @example beforeEventInWords(30) // 'A new pair like the one they know, begun now; no other drop, nothing minimal.'
 */
export function beforeEventInWords(days: number): string {
  if (days < 0) return 'It is over.';
  if (days < BREAK_IN_DAYS) return 'Nothing new any more: only a pair that is worn in.';
  return days < LARGE_CHANGE_DAYS
    ? 'A new pair like the one they know, begun now; no other drop, nothing minimal.'
    : 'Time for another kind of shoe, if it is begun now.';
}
