import { linearRegression } from 'simple-statistics';
import { daysBetween } from '../../calendar/days';

/** Growth of foot length by age, mm a year, least and most; recalled with about 60 %, so settings and no claim. */
const GROWTH: readonly { from: number; to: number; mmPerYear: readonly [number, number] }[] = [
  { from: 1, to: 2, mmPerYear: [12, 18] },
  { from: 2, to: 3, mmPerYear: [12, 15] },
  { from: 3, to: 6, mmPerYear: [8, 12] },
  { from: 6, to: 10, mmPerYear: [8, 10] },
  { from: 10, to: 15, mmPerYear: [5, 10] },
];

export const usualGrowth = (ageYears: number): readonly [number, number] | null =>
  GROWTH.find((row) => ageYears >= row.from && ageYears < row.to)?.mmPerYear ?? null;

export interface DatedLength {
  /** ISO day. */
  on: string;
  mm: number;
}

/** Days over which a growth rate can be told from a tape’s error of 2 mm. Common practice. */
const LEAST_DAYS = 60;

/**
 * Growth of a foot, mm a year, by least squares over its dated lengths.
 *
 * @returns null with fewer than two lengths or less than 60 days between the first and the last
 * @example growthRate([{ on: '2030-01-01', mm: 200 }, { on: '2031-01-01', mm: 210 }]) // 10
 */
export function growthRate(lengths: readonly DatedLength[]): number | null {
  const [first] = lengths;
  if (!first || lengths.length < 2) return null;
  const days = lengths.map(({ on }) => daysBetween(first.on, on));
  if (Math.max(...days) - Math.min(...days) < LEAST_DAYS) return null;
  return 365.25 * linearRegression(lengths.map(({ mm }, at) => [days[at]!, mm])).m;
}
