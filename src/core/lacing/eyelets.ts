import type { FeatureValues } from '../shoe/features';

/** Of one shoe: the side of the big toe, and the other. */
export type LaceSide = 'inner' | 'outer';
export const LACE_SIDES = ['inner', 'outer'] as const;
export const otherSide = (side: LaceSide): LaceSide => (side === 'inner' ? 'outer' : 'inner');

/** One hole; row 0 is the lowest, at the toes. The extra hole of a shoe is the row above its last pair. */
export interface Eyelet {
  side: LaceSide;
  row: number;
}
export const eyeletKey = ({ side, row }: Eyelet): string => `${side} ${row}`;

/** The eyelets of one shoe. */
export interface ShoeEyelets {
  /** Pairs in each zone that has a lace of its own, from the toes up; one zone in most shoes. */
  zones: readonly number[];
  /** An extra hole at the top, beside the last pair. */
  extra: boolean;
}

/** What most laced shoes have: six pairs, one lace. Ours. */
export const USUAL_PAIRS = 6;
export const FEWEST_PAIRS = 2;
export const MOST_PAIRS = 12;

/** Eyelets of a shoe whose pairs were counted, or not. */
export const eyeletsOf = (features: FeatureValues, pairs = USUAL_PAIRS): ShoeEyelets => ({
  zones: [pairs],
  extra: features.closure === 'laces-extra-eyelet',
});

export const pairsOf = ({ zones }: ShoeEyelets): number => zones.reduce((sum, pairs) => sum + pairs, 0);

/** Where eyelets lie, mm: from row to row, and across the throat at the lowest and the highest pair. Ours, to be measured. */
export interface Throat {
  pitchMm: number;
  lowMm: number;
  highMm: number;
}
export const USUAL_THROAT: Throat = { pitchMm: 16, lowMm: 38, highMm: 46 };

/** Where an eyelet lies on the throat laid flat, mm: across from the middle (inner negative), up from the lowest row. */
export function eyeletAt(
  { side, row }: Eyelet,
  eyelets: ShoeEyelets,
  throat: Throat = USUAL_THROAT,
): { across: number; up: number } {
  const last = Math.max(1, pairsOf(eyelets) - 1);
  const isExtra = row > pairsOf(eyelets) - 1;
  const share = Math.min(1, row / last);
  // An extra hole sits behind the last pair, a little above it.
  const half = (throat.lowMm + (throat.highMm - throat.lowMm) * share) / 2 + (isExtra ? 9 : 0);
  const up = isExtra ? (last + 0.55) * throat.pitchMm : row * throat.pitchMm;
  return { across: side === 'inner' ? -half : half, up };
}
