import type { Segment } from './indices';

/**
 * Millimetres of one pixel, from a foot length that is known or from a line of known length in the picture.
 *
 * @returns null when nothing is known
 */
export function mmPerPixel(
  lengthPx: number,
  footLengthMm: number | null,
  line: Segment | null,
  lineMm: number | null,
): number | null {
  if (line && lineMm !== null && lineMm > 0) {
    const [a, b] = line;
    const pixels = Math.hypot(a.x - b.x, a.y - b.y);
    return pixels > 0 ? lineMm / pixels : null;
  }
  return footLengthMm !== null && footLengthMm > 0 ? footLengthMm / lengthPx : null;
}

/** A print is a little shorter than its foot: a difference beyond this says that the scale or the print is wrong, mm. */
export const PRINT_AGAINST_TAPE_MM = 12;
