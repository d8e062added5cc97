import { addDays, type IsoDay } from '../calendar/days';
import { type AtRiskCategory, REVIEW_MONTHS } from '../examination/at-risk-category';

/** Weeks after a hand-over at which outcomes are taken (handbook 09). */
export const OUTCOME_WEEKS = [2, 6, 12] as const;
/** Then so often, months, unless the feet ask for more. */
const THEN_MONTHS = 6;
const DAYS_A_MONTH = 30;
/** Days by which outcomes may be early and still count for a date: half of the shortest gap. Ours. */
const EARLY_DAYS = 7;

export interface OutcomeDue {
  on: IsoDay;
  /** Weeks since the hand-over. */
  week: number;
}

/** Months between outcomes after the first twelve weeks: the longer end of what the category allows, and never over half a year. */
export const laterMonths = (category: AtRiskCategory | null): number =>
  category === null ? THEN_MONTHS : Math.min(THEN_MONTHS, REVIEW_MONTHS[category][1]);

/**
 * When the outcomes of a pair are due next: at two, six and twelve weeks, then every half year or as the at-risk category asks.
 * Feet that are seen more often than every six weeks are asked at each of these too.
 *
 * @param taken days on which outcomes were taken
 */
export function outcomesDue(
  startedOn: IsoDay,
  category: AtRiskCategory | null,
  taken: readonly IsoDay[],
): OutcomeDue {
  const last =
    taken
      .filter((on) => on > startedOn)
      .toSorted()
      .at(-1) ?? startedOn;
  const reached = addDays(last, EARLY_DAYS);
  const first = OUTCOME_WEEKS.map((week) => ({ on: addDays(startedOn, week * 7), week })).find(
    ({ on }) => on > reached,
  );
  if (first) return first;
  const step = laterMonths(category) * DAYS_A_MONTH;
  const start = OUTCOME_WEEKS.at(-1)! * 7;
  let days = start + step;
  while (addDays(startedOn, days) <= reached) days += step;
  return { on: addDays(startedOn, days), week: Math.round(days / 7) };
}
