/** Standard error of one room reading against the true inside, mm: thumb and measuring stick together. Common practice. */
export const ROOM_ERROR_MM = 3;
/** How many readings that assumption is worth against the scatter that this clinic's fittings show. */
const ROOM_ERROR_WORTH = 12;

/** Readings of one version's length about their mean. */
export interface Scatter {
  readings: number;
  /** Mean, mm; 0 where nothing was read. */
  mean: number;
  /** Sum of squared distances from the mean, mm². */
  squares: number;
}

/** @param offsets of one version, mm */
export function scatterOf(offsets: readonly number[]): Scatter {
  const readings = offsets.length;
  const mean = readings === 0 ? 0 : offsets.reduce((sum, value) => sum + value, 0) / readings;
  return { readings, mean, squares: offsets.reduce((sum, value) => sum + (value - mean) ** 2, 0) };
}

/**
 * The error of a reading as this clinic's own fittings show it: scatter within versions, pulled to the assumption while
 * there are few. A variance.
 *
 * @param versions scatter of each, in the order in which it is summed up
 */
export function readingVariance(versions: readonly Scatter[]): number {
  let squares = 0;
  let freedom = 0;
  for (const version of versions) {
    if (version.readings < 2) continue;
    squares += version.squares;
    freedom += version.readings - 1;
  }
  return (ROOM_ERROR_WORTH * ROOM_ERROR_MM ** 2 + squares) / (ROOM_ERROR_WORTH + freedom);
}
