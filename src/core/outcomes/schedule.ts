import { addDays, type IsoDay } from '../calendar/days';
import { type AtRiskCategory, REVIEW_MONTHS } from '../examination/at-risk-category';
import type { OutcomeSchedule } from '../knowledge/house-rules';

/** Two, six and twelve weeks, then half-yearly (handbook 09). */
export const USUAL_SCHEDULE: OutcomeSchedule = { weeks: [2, 6, 12], thenMonths: 6 };
const DAYS_A_MONTH = 30;
/** Days by which outcomes may be early and still count for a date: half of the shortest gap. Ours. */
const EARLY_DAYS = 7;

export interface OutcomeDue {
  on: IsoDay;
  /** Weeks since the hand-over. */
  week: number;
}

/** Months between outcomes after the first weeks: the longer end of what the category allows, and never longer than the schedule’s. */
export const laterMonths = (
  category: AtRiskCategory | null,
  { thenMonths }: OutcomeSchedule = USUAL_SCHEDULE,
): number => (category === null ? thenMonths : Math.min(thenMonths, REVIEW_MONTHS[category][1]));

/** A schedule in words: `at 2, 6 and 12 weeks, then every 6 months`. */
export const scheduleInWords = ({ weeks, thenMonths }: OutcomeSchedule): string => {
  const first = weeks.slice(0, -1).join(', ');
  const at = first ? `${first} and ${weeks.at(-1)}` : `${weeks[0]}`;
  return `at ${at} weeks, then every ${thenMonths === 1 ? 'month' : `${thenMonths} months`}`;
};

/**
 * When the outcomes of a pair are due next: at the weeks of the schedule, then every so many months or as the at-risk category asks.
 * Feet that are seen more often than every six weeks are asked at each of these too.
 *
 * @param taken days on which outcomes were taken
 */
export function outcomesDue(
  startedOn: IsoDay,
  category: AtRiskCategory | null,
  taken: readonly IsoDay[],
  schedule: OutcomeSchedule = USUAL_SCHEDULE,
): OutcomeDue {
  const last =
    taken
      .filter((on) => on > startedOn)
      .toSorted()
      .at(-1) ?? startedOn;
  const reached = addDays(last, EARLY_DAYS);
  const first = schedule.weeks
    .map((week) => ({ on: addDays(startedOn, week * 7), week }))
    .find(({ on }) => on > reached);
  if (first) return first;
  const step = laterMonths(category, schedule) * DAYS_A_MONTH;
  const start = (schedule.weeks.at(-1) ?? 0) * 7;
  let days = start + step;
  while (addDays(startedOn, days) <= reached) days += step;
  return { on: addDays(startedOn, days), week: Math.round(days / 7) };
}
