import { FOLD_MISS_MM, heelToFold } from '../last-shape';
import { insideLength, type ModelSizing } from '../start-size';
import type { FittedFoot } from './fit-evidence';
import type { LearnedOffset } from './learned-fit';

/** How far a model may fold from where it is said to, and how well a look at the try-on tells, mm (one sd each). Ours. */
const FOLD_SPREAD_MM = 4;
const LOOK_SD_MM = 6;

/**
 * Where a version folds beside what is said of it, from looks at try-ons: under the ball, or too far back, which is read as a
 * miss of 10 mm. A single reading is shrunk towards nothing; a version nobody has looked at keeps its word.
 *
 * @param feet of every fitting of the version
 * @returns null where no look is recorded, or the fold is not known
 */
export function foldOffset(
  sizing: ModelSizing,
  foldPercent: number | null,
  feet: readonly FittedFoot[],
): LearnedOffset | null {
  if (foldPercent === null) return null;
  const seen = feet.flatMap(({ size, heelBallMm, bend }) => {
    if (heelBallMm == null || bend == null) return [];
    const said = heelToFold(insideLength(sizing, size), foldPercent, 0);
    return [heelBallMm - (bend === 'too-far-back' ? FOLD_MISS_MM : 0) - said];
  });
  if (seen.length === 0) return null;
  const precision = 1 / FOLD_SPREAD_MM ** 2 + seen.length / LOOK_SD_MM ** 2;
  return {
    meanMm: seen.reduce((sum, offset) => sum + offset, 0) / LOOK_SD_MM ** 2 / precision,
    sdMm: Math.sqrt(1 / precision),
    fittings: seen.length,
    relatives: 0,
  };
}
