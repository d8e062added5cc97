import type { FindingId, SizingGroup } from '../../findings/findings';

export interface AdultMean {
  meanMm: number;
  sdMm: number;
  /** How surely mean and spread are recalled, per cent. Under 60 is not shown as a source’s claim. */
  recall: number;
}

/**
 * Adult means (SD), mm, of a survey of people in military service, 2012 (ANSUR II), recalled. Its sexes are mapped
 * to the shoe-sizing group; it is nobody’s norm, and rows recalled with less than 60 % are left out.
 */
export const ADULT_MEANS: Partial<Record<FindingId, Partial<Record<SizingGroup, AdultMean>>>> = {
  footLength: {
    men: { meanMm: 271, sdMm: 13.1, recall: 85 },
    women: { meanMm: 246, sdMm: 12.4, recall: 80 },
  },
  ballWidth: {
    men: { meanMm: 102, sdMm: 5.4, recall: 75 },
    women: { meanMm: 92.5, sdMm: 5.1, recall: 75 },
  },
  ballGirth: {
    men: { meanMm: 249, sdMm: 12, recall: 62 },
    women: { meanMm: 226, sdMm: 11.5, recall: 62 },
  },
  heelBallLength: {
    men: { meanMm: 201, sdMm: 10, recall: 72 },
    women: { meanMm: 182, sdMm: 9.5, recall: 72 },
  },
};

/**
 * Standard normal distribution function. Abramowitz & Stegun 26.2.17 (error below 7.5e-8), from memory.
 */
export function normalShare(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const tail =
    (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return z >= 0 ? 1 - tail : tail;
}

export interface Centile {
  centile: number;
  z: number;
  recall: number;
}

/**
 * Centile of an adult's measure, by the normal distribution; null for children and where no mean is recalled.
 *
 * @example centileOf('footLength', 280, 'men', 40) // z 0.69, about the 75th
 */
export function centileOf(
  id: FindingId,
  mm: number,
  group: SizingGroup | null,
  ageYears: number | null,
): Centile | null {
  if (group === null || ageYears === null || ageYears < 18) return null;
  const row = ADULT_MEANS[id]?.[group];
  if (!row) return null;
  const z = (mm - row.meanMm) / row.sdMm;
  return { z, centile: 100 * normalShare(z), recall: row.recall };
}
