import type { ModelSizing } from '../start-size';

/** True inside minus label, mm. */
export interface LearnedOffset {
  meanMm: number;
  sdMm: number;
  /** Fittings of this very version, and of its relatives (same maker). */
  fittings: number;
  relatives: number;
}

export interface LearnedFit {
  length: LearnedOffset;
  width: LearnedOffset;
  /** Of the fold, by looks at this very version; null where nobody looked. */
  fold: LearnedOffset | null;
}

/** What was learned of each version, by its identifier; undefined of one that is not in the catalogue. */
export interface LearnedFits {
  get: (version: string) => LearnedFit | undefined;
}

/** A sizing that starts from what was learned. */
export const withLearned = (sizing: ModelSizing, fit: LearnedFit): ModelSizing => ({
  ...sizing,
  lengthOffsetMm: fit.length.meanMm,
  widthOffsetMm: fit.width.meanMm,
  ...(fit.fold ? { foldOffsetMm: fit.fold.meanMm } : {}),
});
