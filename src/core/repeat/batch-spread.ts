import { groupBy } from '../tables/group-by';

/** One fitting of a version that names its batch: true inside minus label, mm. */
export interface BatchFitting {
  version: string;
  batch: string;
  offsetMm: number;
}

/** How far batches of one version lie apart, standard deviation, before any were measured, and how many that is worth. Ours. */
const PRIOR_SD_MM = 1;
const PRIOR_WORTH = 8;
/** Standard deviation of a room that is read on a foot. Ours. */
export const READING_SD_MM = 1.5;

/**
 * How far batches of one version lie apart in length, as a clinic's fittings tell: what they differ by beyond what reading a room
 * makes them differ by, with what is believed before.
 *
 * @returns standard deviation, mm, and the batches it rests on beyond the first of each version
 */
export function batchSpread(fittings: readonly BatchFitting[]): { sdMm: number; batches: number } {
  let squares = 0;
  let batches = 0;
  for (const ofVersion of groupBy(fittings, ({ version }) => version).values()) {
    const means = [...groupBy(ofVersion, ({ batch }) => batch).values()].map((ofBatch) => ({
      mean: ofBatch.reduce((sum, { offsetMm }) => sum + offsetMm, 0) / ofBatch.length,
      reading: READING_SD_MM ** 2 / ofBatch.length,
    }));
    const middle = means.reduce((sum, { mean }) => sum + mean, 0) / means.length;
    const share = 1 - 1 / means.length;
    const apart = means.reduce((sum, { mean, reading }) => sum + (mean - middle) ** 2 - reading * share, 0);
    squares += apart;
    batches += means.length - 1;
  }
  const variance = (PRIOR_WORTH * PRIOR_SD_MM ** 2 + Math.max(0, squares)) / (PRIOR_WORTH + batches);
  return { sdMm: Math.sqrt(variance), batches };
}
