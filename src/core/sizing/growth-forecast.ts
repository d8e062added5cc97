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

/**
 * Months between checks by age. Spans from handbook 04 (to 2.5 years every 2–3, to 4 every 3–4, to 6 every 4–6, then 6);
 * that the later end of a span is taken is ours: the day the pair becomes too short comes first anyway.
 */
const CHECKS: readonly { below: number; months: number }[] = [
  { below: 2.5, months: 3 },
  { below: 4, months: 4 },
  { below: Number.POSITIVE_INFINITY, months: 6 },
];

/** Months between measurements of a foot that still grows; null for a grown one. */
export const growthCheckMonths = (ageYears: number): number | null =>
  ageYears >= GROWN_AT ? null : checkMonths(ageYears);

const checkMonths = (ageYears: number): number => CHECKS.find(({ below }) => ageYears < below)!.months;
const DAYS_A_MONTH = 30.4;
const inMonths = (count: number): string => `${count} month${count === 1 ? '' : 's'}`;

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
  const months = (days: number) => Math.round(days / DAYS_A_MONTH);
  const [from, to] = [months(tooShortInDays[0]), months(tooShortInDays[1])];
  const outgrown =
    spare === 0
      ? 'too short already'
      : `outgrown in ${from === to ? `about ${inMonths(from)}` : `${from} to ${inMonths(to)}`}`;
  const basis = own !== null && own > 0 ? 'own measures' : 'usual for the age';
  return {
    rate,
    basis,
    tooShortInDays,
    nextCheckDays,
    sentence: `Grows about ${Math.round(rate[0])}–${Math.round(rate[1])} mm a year (${basis}): ${outgrown}. Check again in ${nextCheckDays < DAYS_A_MONTH ? `${nextCheckDays} days` : inMonths(months(nextCheckDays))}.`,
  };
}
