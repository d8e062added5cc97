import { addDays } from '@/core/calendar/days';
import { type AtRiskCategory, REVIEW_MONTHS } from '@/core/examination/at-risk-category';

const DAYS_A_MONTH = 30;

/** How often feet at risk are looked at, and when next, as it is stored with the patient; nothing for feet that are not, or not known to be. */
export function riskCheck(
  on: string,
  category: AtRiskCategory | null,
): { risk_check_months: number | null; risk_check_on: string | null } {
  if (category === null || category === 0) return { risk_check_months: null, risk_check_on: null };
  const months = REVIEW_MONTHS[category][1];
  return { risk_check_months: months, risk_check_on: addDays(on, months * DAYS_A_MONTH) };
}
