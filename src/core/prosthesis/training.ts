import { addDays, type IsoDay } from '../calendar/days';
import type { ProstheticFoot } from './on-this-foot';

/** Weeks of learning to walk in which the shoe stays the same (handbook 06: two to three months, 12 weeks unless the clinic says otherwise). */
export const FIRST_WEEKS = 12;
const WEEKS_A_MONTH = 365.25 / 12 / 7;

/**
 * Why a new pair waits: it is not changed while walking is learnt, and never on the day of therapy or the one before it. Null where nothing
 * speaks against it.
 *
 * @param months of walking on the prosthesis; null where nobody said
 */
export function holdsBack(
  foot: ProstheticFoot | null,
  months: number | null,
  therapyOn: readonly IsoDay[],
  today: IsoDay,
  firstWeeks: number = FIRST_WEEKS,
): string | null {
  if (!foot) return null;
  if (months !== null && months * WEEKS_A_MONTH < firstWeeks)
    return `The first ${firstWeeks} weeks on a prosthesis keep one shoe: a new pair waits until walking is learnt.`;
  const therapy = [today, addDays(today, 1)].find((day) => therapyOn.includes(day));
  if (therapy === today) return 'Therapy is today: no new pair on the day of therapy.';
  return therapy ? 'Therapy is tomorrow: a new pair waits until after it.' : null;
}
