import { dayOf, daysBetween, type IsoDay } from '../calendar/days';
import type { Findings } from '../findings/picture';
import { memoize } from '../memo/memoize';
import { omitUndefined } from '../tables/omit-undefined';
import type { DatedEvent, StepContents } from './contents';

/** A build-up is under way from so many days before its event: twelve weeks. Ours. */
const BUILD_UP_DAYS = 84;
/** Kilometres up to which an event counts as short. */
const SHORT_KM = 10;

type Ask = Pick<StepContents['ask'], 'uses' | 'events'>;

/** An event that lies ahead, and in how many days. */
export interface EventAhead {
  event: DatedEvent;
  inDays: number;
}

/** Whether an event is a trip on foot: somebody said how many days, what is carried, or over what ground. */
export const isTrip = ({ days, loadKg, ground, descents }: DatedEvent): boolean =>
  [days, loadKg, ground, descents].some((part) => part !== undefined);

/** How long an event is; a trip of several days is long, however far it goes. */
const lengthOf = (event: DatedEvent): 'short' | 'long' | undefined => {
  if ((event.days ?? 1) > 1) return 'long';
  return event.km === undefined ? undefined : event.km <= SHORT_KM ? 'short' : 'long';
};

function nearest(
  events: readonly DatedEvent[],
  on: IsoDay,
  counts: (event: DatedEvent, inDays: number) => boolean,
): EventAhead | null {
  const ahead = events.flatMap((event): EventAhead[] => {
    if (event.on === undefined) return [];
    const inDays = daysBetween(on, event.on);
    return inDays >= 0 && counts(event, inDays) ? [{ event, inDays }] : [];
  });
  return ahead.reduce<EventAhead | null>(
    (next, event) => (next && next.inDays <= event.inDays ? next : event),
    null,
  );
}

/** The next dated event with a length that lies within a build-up of a day, or null. */
export const nextEvent = (events: readonly DatedEvent[], on: IsoDay): EventAhead | null =>
  nearest(events, on, (event, inDays) => lengthOf(event) !== undefined && inDays <= BUILD_UP_DAYS);

/** The next dated trip, however far ahead, or null. */
export const nextTrip = (events: readonly DatedEvent[], on: IsoDay): EventAhead | null =>
  nearest(events, on, isTrip);

function fromUses({ uses = [], events = [] }: Ask, startedAt: string): Findings {
  const km = uses.reduce((sum, use) => sum + (use.km ?? 0), 0);
  const isSaid = uses.some((use) => use.km !== undefined);
  const next = nextEvent(events, dayOf(startedAt));
  const dated = events.some(({ on }) => on !== undefined);
  const trip = nextTrip(events, dayOf(startedAt))?.event;
  return {
    body: {
      ...(isSaid ? { weeklyDistance: Math.round(km * 10) / 10 } : {}),
      ...(next
        ? { eventAhead: lengthOf(next.event) }
        : dated && events.every((event) => event.on !== undefined && lengthOf(event) !== undefined)
          ? { eventAhead: 'none' as const }
          : {}),
      ...(trip
        ? omitUndefined({
            tripDays: trip.days,
            tripLoad: trip.loadKg,
            tripGround: trip.ground,
            tripDescents: trip.descents,
          })
        : {}),
    },
  };
}

/**
 * What follows from how much of each activity fills a week, and from dated events, so that it is never asked twice: the
 * distance a week, whether a build-up is under way on the day of the visit, and what the next trip asks. What was entered at the question itself counts
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
  if (days < BREAK_IN_DAYS) return 'Too late for anything new: only a pair that is worn in.';
  return days < LARGE_CHANGE_DAYS
    ? 'A new pair like the one they know, begun now; no other drop, nothing minimal.'
    : 'Time for another kind of shoe, if it is begun now.';
}
