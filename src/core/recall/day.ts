import { DAYS_PER_MONTH, DAYS_PER_YEAR, daysBetween, type IsoDay } from '../calendar/spans';
import { keysOf } from '../tables/keys-of';
import { type RecallKindId, recallKind } from './kinds';

/** A day at the clinic, part by part, in the order in which it is worked through. */
export const DAY_PARTS = {
  first: 'see to first',
  open: 'open visits',
  late: 'late',
  due: 'due',
  counter: 'at the counter',
} as const;
export type DayPart = keyof typeof DAY_PARTS;
export const DAY_PART_IDS = keysOf(DAY_PARTS);

/** What is dealt with where shoes come in and go out. */
const AT_THE_COUNTER: ReadonlySet<RecallKindId> = new Set([
  'order-to-check',
  'order-to-return',
  'order-to-collect',
  'order-late',
  'order-to-place',
]);

/**
 * The part of the day to which a row belongs: each row to one.
 *
 * @example dayPart('review-due', '2031-06-01', '2031-06-08') // 'late'
 */
export function dayPart(kind: RecallKindId, on: IsoDay, today: IsoDay): DayPart {
  const { dated, isWarning } = recallKind(kind);
  if (isWarning) return 'first';
  if (kind === 'visit-open') return 'open';
  if (AT_THE_COUNTER.has(kind)) return 'counter';
  return (dated === 'due' || dated === 'until') && on < today ? 'late' : 'due';
}

type Unit = 'day' | 'week' | 'month' | 'year';
/** Up to how many days a span is said in a unit; what a clinic says aloud, so ours. */
const SAID_IN: readonly (readonly [unit: Unit, upTo: number, days: number])[] = [
  ['day', 13, 1],
  ['week', 63, 7],
  ['month', 700, DAYS_PER_MONTH],
  ['year', Number.POSITIVE_INFINITY, DAYS_PER_YEAR],
];

function span(days: number): { unit: Unit; many: number } {
  const [unit, , length] = SAID_IN.find(([, upTo]) => Math.abs(days) <= upTo)!;
  return { unit, many: Math.round(days / length) };
}

const AGO = new Intl.RelativeTimeFormat('en', { numeric: 'auto' });
/** A span in whole units, as said aloud. @example spanInWords(21) // '3 weeks' */
const spanInWords = (days: number): string => {
  const { unit, many } = span(days);
  return `${many} ${unit}${many === 1 ? '' : 's'}`;
};
const fromNow = (days: number): string => {
  const { unit, many } = span(days);
  return AGO.format(many, unit);
};

/**
 * How a row’s day stands to today.
 *
 * @example whenInWords('review-due', '2031-05-18', '2031-06-08') // '3 weeks late'
 * @example whenInWords('pair-in-window', '2031-06-18', '2031-06-08') // '10 days left'
 * @example whenInWords('visit-open', '2031-06-07', '2031-06-08') // 'yesterday'
 */
export function whenInWords(kind: RecallKindId, on: IsoDay, today: IsoDay): string {
  const { dated } = recallKind(kind);
  const days = daysBetween(today, on);
  if (dated === 'since') return fromNow(days);
  if (dated === 'worn') return days === 0 ? 'new today' : `worn ${spanInWords(Math.abs(days))}`;
  if (dated === 'window') return `window ${fromNow(days)}`;
  if (days < 0) return `${spanInWords(-days)} ${dated === 'due' ? 'late' : 'past'}`;
  if (dated === 'due') return `due ${fromNow(days)}`;
  return days === 0 ? 'last day' : `${spanInWords(days)} left`;
}
