import type { FindingValue } from '../findings/findings';
import type { FeatureValues } from '../shoe/features';
import { USUAL_ROOM } from '../shoe/room';

/** What of a model's features decides its size beside the length: where it folds, and how its front is shaped. */
export interface LastShape {
  /** Where it folds, per cent of its length from the heel; null where nobody says. */
  foldPercent: number | null;
  toeBox: FeatureValues['toeBoxShape'] | null;
  /** 1 low, 2 standard, 3 deep; null where nobody says. */
  depthGrade: number | null;
}

export const UNKNOWN_SHAPE: LastShape = { foldPercent: null, toeBox: null, depthGrade: null };

export const lastShapeOf = (features: FeatureValues): LastShape => ({
  foldPercent: typeof features.bendPoint === 'number' ? features.bendPoint : null,
  toeBox: features.toeBoxShape ?? null,
  depthGrade: typeof features.toeBoxDepth === 'number' ? features.toeBoxDepth : null,
});

/** A foot as it is sized: lengths in mm; what was not examined is null. */
export interface SizedFoot {
  lengthMm: number;
  ballWidthMm: number | null;
  heelBallMm?: number | null;
  toeShape?: FindingValue<'toeShape'> | null;
  toeHeightMm?: number | null;
}

/**
 * Length inside the box that these toes cannot use, mm. A box that narrows meets broad toes before its end, a low one tall
 * toes. The figures are ours; a pointed foot fills a pointed box.
 */
const NARROWS_MM: Readonly<Record<string, Readonly<Record<string, number>>>> = {
  tapered: { square: 5, tapered: 2, pointed: 0 },
  round: { square: 1, tapered: 0, pointed: 0 },
};
const UNKNOWN_TOES = 'tapered';
/** Toes of this height, mm, meet the roof of a low box, and of a standard one from this much more on. Ours. */
const TALL_FROM_MM = { low: 22, standard: 28 } as const;
const TALL_LOSS_MM = 3;

export function lengthLost({ toeBox, depthGrade }: LastShape, { toeShape, toeHeightMm }: SizedFoot): number {
  const narrows = toeBox ? (NARROWS_MM[toeBox]?.[toeShape ?? UNKNOWN_TOES] ?? 0) : 0;
  const roofFrom =
    depthGrade === null
      ? null
      : depthGrade < 1.5
        ? TALL_FROM_MM.low
        : depthGrade < 2.5
          ? TALL_FROM_MM.standard
          : null;
  const meetsRoof = roofFrom !== null && (toeHeightMm ?? 0) >= roofFrom;
  return narrows + (meetsRoof ? TALL_LOSS_MM : 0);
}

/**
 * Heel to fold inside a shoe, mm. The share is read over the inside length less the usual room for the toes, which lies
 * beyond the fold: a usual shoe (73 %) then folds under the ball of a usual foot (73 %) in the size that its toes ask for.
 *
 * @param insideMm inside length of the size
 * @param offsetMm what fittings have shown beside what is said of the model
 * @example heelToFold(274, 73, 0) // 191.26
 */
export const heelToFold = (insideMm: number, foldPercent: number, offsetMm: number): number =>
  (foldPercent / 100) * (insideMm - USUAL_ROOM.wished) + offsetMm;

/** The inside length whose fold lies under the ball of this foot, mm: the inverse of `heelToFold`. */
export const insideForBall = (heelBallMm: number, foldPercent: number, offsetMm: number): number =>
  (heelBallMm - offsetMm) / (foldPercent / 100) + USUAL_ROOM.wished;

/** A fold further from the ball than this is called a miss (handbook 03, bench test 1). */
export const FOLD_MISS_MM = 10;
