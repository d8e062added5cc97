import { type DatedLength, growthRate, usualGrowth } from '../examination/measures/growth';

export interface GrowthForecast {
  /** mm a year, least and most. */
  rate: readonly [number, number];
  basis: 'own measures' | 'usual for the age';
  /** Days until the room falls below the least, earliest and latest; 0 when it already has. */
  tooShortInDays: readonly [number, number];
  nextCheckDays: number;
  sentence: string;
}

/** Feet grow until about this age. From memory. */
const GROWN_AT = 16;
/** Own rates scatter by the tape: this much either way, as a share. Common practice. */
const OWN_SPREAD = 0.3;

/** Months between checks: 2–3 to about five years, then 4–6 (footwear reference §1, recalled at 70 %). */
const checkMonths = (ageYears: number): number => (ageYears < 6 ? 3 : 5);
const DAYS_A_MONTH = 30.4;

/**
 * When a child outgrows a pair, and when to look again: from the child's own measures where two lie far enough apart,
 * else from what is usual at that age.
 *
 * @param roomMm room in front of the longer foot now; least room in mm below which a pair is too short
 * @returns null for a grown foot
 */
export function growthForecast(
  ageYears: number,
  lengths: readonly DatedLength[],
  roomMm: number,
  leastMm: number,
): GrowthForecast | null {
  const usual = usualGrowth(ageYears);
  if (ageYears >= GROWN_AT || !usual) return null;
  const own = growthRate(lengths);
  const rate: readonly [number, number] =
    own !== null && own > 0 ? [own * (1 - OWN_SPREAD), own * (1 + OWN_SPREAD)] : usual;
  const spare = Math.max(0, roomMm - leastMm);
  const days = (mmPerYear: number) => Math.round((spare / mmPerYear) * 365.25);
  const tooShortInDays = [days(rate[1]), days(rate[0])] as const;
  const nextCheckDays = Math.max(
    7,
    Math.min(Math.round(checkMonths(ageYears) * DAYS_A_MONTH), tooShortInDays[0] || 7),
  );
  const months = (value: number) => Math.max(0, Math.round(value / DAYS_A_MONTH));
  const from = months(tooShortInDays[0]);
  const to = months(tooShortInDays[1]);
  const basis = own !== null && own > 0 ? 'own measures' : 'usual for the age';
  return {
    rate,
    basis,
    tooShortInDays,
    nextCheckDays,
    sentence: `Grows about ${Math.round(rate[0])}–${Math.round(rate[1])} mm a year (${basis}): outgrown in ${from === to ? `about ${from}` : `${from} to ${to}`} months. Check again in ${Math.max(1, months(nextCheckDays))} months.`,
  };
}
