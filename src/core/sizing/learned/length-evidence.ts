/** Standard error of one room reading against the true inside, mm: thumb and measuring stick together. Common practice. */
export const ROOM_ERROR_MM = 3;
/** How many readings that assumption is worth against the scatter that this clinic's fittings show. */
const ROOM_ERROR_WORTH = 12;

/**
 * The error of a reading as this clinic's own fittings show it: scatter within versions, pulled to the assumption while
 * there are few. A variance.
 */
export function readingVariance(offsets: readonly (readonly number[])[]): number {
  let squares = 0;
  let freedom = 0;
  for (const list of offsets) {
    if (list.length < 2) continue;
    const mean = list.reduce((sum, value) => sum + value, 0) / list.length;
    squares += list.reduce((sum, value) => sum + (value - mean) ** 2, 0);
    freedom += list.length - 1;
  }
  return (ROOM_ERROR_WORTH * ROOM_ERROR_MM ** 2 + squares) / (ROOM_ERROR_WORTH + freedom);
}
