/** Who says how long a pair lasts, as practitioners state it, in miles; months for running pairs where a camp states them: only podiatry does. Common practice. */
export const LIFE_SCHOOLS = {
  median: { label: 'Middle of all schools', miles: [280, 570], median: 400 },
  cautious: { label: 'Physiotherapy, cautious', miles: [250, 400] },
  beginners: { label: 'Beginners’ advice', miles: [300, 400] },
  retail: { label: 'Retail and makers', miles: [300, 500] },
  shops: { label: 'Fitting shops, fresh stock', miles: [400, 600] },
  podiatry: { label: 'Podiatry', miles: [450, 600], months: [6, 10] },
  chiropractic: { label: 'Chiropractic', miles: [311, 466] },
} as const satisfies Record<
  string,
  { label: string; miles: readonly [number, number]; median?: number; months?: readonly [number, number] }
>;

export type LifeSchool = keyof typeof LIFE_SCHOOLS;

/** Racing pairs that are trained in as well: 200–250 miles, whatever the school. Common practice. */
export const RACING_MILES = [200, 250] as const;
/** Raced only: four to five half or full marathons, km. Common practice. */
export const RACED_ONLY_KM = [84, 211] as const;

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

/** Life by the calendar, months, where a school states one; null where it states none. */
export function calendarLife(school: LifeSchool): LifeDistribution | null {
  const stated = LIFE_SCHOOLS[school];
  return 'months' in stated ? fromRange(stated.months[0], stated.months[1]) : null;
}

/** A lognormal by two of its quantiles. */
export const distributionOf = ({
  q10,
  q50,
  q90,
}: {
  q10: number;
  q50: number;
  q90: number;
}): LifeDistribution => fromRange(q10, q90, q50);

/** Quantile of a lognormal for the three quantiles that are shown. */
export function lifeQuantile(life: LifeDistribution, quantile: 0.1 | 0.5 | 0.9): number {
  const z = quantile === 0.5 ? 0 : quantile === 0.1 ? -Z90 : Z90;
  return life.median * Math.exp(z * life.sigma);
}
