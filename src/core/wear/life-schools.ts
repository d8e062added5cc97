import { milesToKm } from '../units/distance';

/** Who says how long a pair lasts, as practitioners state it, in miles. Common practice. */
export const LIFE_SCHOOLS = {
  median: { label: 'Middle of all schools', miles: [280, 570], median: 400, months: [6, 12] },
  cautious: { label: 'Physiotherapy, cautious', miles: [250, 400], months: [6, 9] },
  beginners: { label: 'Beginners’ advice', miles: [300, 400], months: [6, 10] },
  retail: { label: 'Retail and makers', miles: [300, 500], months: [6, 12] },
  shops: { label: 'Fitting shops, fresh stock', miles: [400, 600], months: [5, 9] },
  podiatry: { label: 'Podiatry', miles: [450, 600], months: [6, 10] },
  chiropractic: { label: 'Chiropractic', miles: [311, 466], months: [6, 10] },
} as const satisfies Record<
  string,
  { label: string; miles: readonly [number, number]; median?: number; months: readonly [number, number] }
>;

export type LifeSchool = keyof typeof LIFE_SCHOOLS;

/** Racing pairs: 200–250 miles whatever the school. Common practice. */
export const RACING_MILES = [200, 250] as const;

/** z of the 90th percentile: a stated range is read as the middle 80 % of pairs. */
const Z90 = 1.2816;

/** Lognormal: median in its unit, and the standard deviation of its logarithm. */
export interface LifeDistribution {
  median: number;
  sigma: number;
}

/** A range as a lognormal whose 10th and 90th percentile are its ends, unless its middle is stated. */
export function fromRange(low: number, high: number, median = Math.sqrt(low * high)): LifeDistribution {
  return { median, sigma: Math.log(high / low) / (2 * Z90) };
}

export function distanceLife(school: LifeSchool, racing: boolean): LifeDistribution {
  if (racing) return fromRange(milesToKm(RACING_MILES[0]), milesToKm(RACING_MILES[1]));
  const stated = LIFE_SCHOOLS[school];
  const [low, high] = stated.miles;
  return fromRange(
    milesToKm(low),
    milesToKm(high),
    'median' in stated ? milesToKm(stated.median) : undefined,
  );
}

export function calendarLife(school: LifeSchool): LifeDistribution {
  const [low, high] = LIFE_SCHOOLS[school].months;
  return fromRange(low, high);
}

/** Quantile of a lognormal for the three quantiles that are shown. */
export function lifeQuantile(life: LifeDistribution, quantile: 0.1 | 0.5 | 0.9): number {
  const z = quantile === 0.5 ? 0 : quantile === 0.1 ? -Z90 : Z90;
  return life.median * Math.exp(z * life.sigma);
}
