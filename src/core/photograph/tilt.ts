/** A place in a picture, pixels from its upper left corner. */
export interface Spot {
  x: number;
  y: number;
}
export type Line = readonly [Spot, Spot];

/** How far two people place an end of a line apart, pixels of a picture 1200 wide. Ours. */
const PLACED_WITHIN_PX = 2.5;
const PICTURE_PX = 1200;

/** What placing both ends of a line is worth across or along it, one standard deviation, pixels of a picture so wide. */
export const placingErrorPx = (widthPx: number): number =>
  (Math.SQRT2 * PLACED_WITHIN_PX * widthPx) / PICTURE_PX;

const DEGREES = 180 / Math.PI;
export const lengthOf = ([a, b]: Line): number => Math.hypot(b.x - a.x, b.y - a.y);

/** Direction of a line, degrees from level, between −90 and 90, however it was drawn. */
const directionOf = ([a, b]: Line): number => {
  const [left, right] = a.x <= b.x ? [a, b] : [b, a];
  return Math.atan2(right.y - left.y, right.x - left.x) * DEGREES;
};

export interface Tilt {
  /** From upright against the table: positive leans to the right of the picture. */
  degrees: number;
  /** What placing the ends of both lines is worth, one standard deviation. */
  error: number;
}

/**
 * How far a shoe leans on a table, from behind: the line along its heel against the line along the table's edge.
 *
 * @param widthPx of the picture
 * @example tiltOf([{x:0,y:100},{x:200,y:100}], [{x:100,y:100},{x:100,y:20}], 200) // { degrees: 0, error: … }
 */
export function tiltOf(table: Line, heel: Line, widthPx: number): Tilt | null {
  if (lengthOf(table) < 1 || lengthOf(heel) < 1) return null;
  const [low, high] = heel[0].y >= heel[1].y ? heel : [heel[1], heel[0]];
  const upright = Math.atan2(high.x - low.x, low.y - high.y) * DEGREES;
  const errorOf = (line: Line) => (placingErrorPx(widthPx) * DEGREES) / lengthOf(line);
  // A table that falls to the right turns all that stands on it.
  return {
    degrees: upright - directionOf(table),
    error: Math.hypot(errorOf(table), errorOf(heel)),
  };
}

/** What a tilt is called on a side: seen from behind, a left shoe that leans to the right leans inward. */
export function tiltInWords({ degrees, error }: Tilt, side: 'left' | 'right'): string {
  const size = `${Math.abs(degrees).toFixed(1)}° ± ${error.toFixed(1)}°`;
  if (Math.abs(degrees) <= 2 * error) return `stands level (${size})`;
  const inward = side === 'left' ? degrees > 0 : degrees < 0;
  return `tilts ${inward ? 'inward' : 'outward'}, ${size}`;
}
