import { mainAxis } from '../../statistics/main-axis';
import type { Mask } from './picture';

export interface Point {
  x: number;
  y: number;
}

/** A foot's own directions in a picture: `along` from heel to toes, `right` to its right seen from above. */
export interface FootAxis {
  heel: Point;
  toe: Point;
}

/** Unit vectors of an axis. Picture rows run downwards, so the right hand of “up the page” is +x. */
export function directions({ heel, toe }: FootAxis): { along: Point; right: Point; length: number } {
  const length = Math.hypot(toe.x - heel.x, toe.y - heel.y) || 1;
  const along = { x: (toe.x - heel.x) / length, y: (toe.y - heel.y) / length };
  return { along, right: { x: -along.y, y: along.x }, length };
}

export interface Spread {
  centre: Point;
  /** Unit vector of the longer direction. */
  along: Point;
  /** Extents of the mask along that direction and across it, pixels. */
  length: number;
  width: number;
}

/** Principal direction and extents of a mask. */
export function spreadOf({ width, height, data }: Mask): Spread {
  let count = 0;
  let sx = 0;
  let sy = 0;
  let sxx = 0;
  let sxy = 0;
  let syy = 0;
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      if (data[y * width + x] === 0) continue;
      count += 1;
      sx += x;
      sy += y;
      sxx += x * x;
      sxy += x * y;
      syy += y * y;
    }
  const { middle: centre, along } = mainAxis({ count, x: sx, y: sy, xx: sxx, xy: sxy, yy: syy });
  const box = extents({ width, height, data }, centre, along);
  return { centre, along, length: box.to - box.from, width: box.right - box.left };
}

/** How far a mask reaches from a point along a direction and to its right. */
export function extents({ width, height, data }: Mask, from: Point, along: Point) {
  const box = {
    from: Number.POSITIVE_INFINITY,
    to: Number.NEGATIVE_INFINITY,
    left: Number.POSITIVE_INFINITY,
    right: Number.NEGATIVE_INFINITY,
  };
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      if (data[y * width + x] === 0) continue;
      const u = (x - from.x) * along.x + (y - from.y) * along.y;
      const v = -(x - from.x) * along.y + (y - from.y) * along.x;
      if (u < box.from) box.from = u;
      if (u > box.to) box.to = u;
      if (v < box.left) box.left = v;
      if (v > box.right) box.right = v;
    }
  return box;
}

/** First axis of a print: its principal direction, with the toes at the end where it is widest. */
export function firstAxis(mask: Mask): FootAxis {
  const { centre, along } = spreadOf(mask);
  const box = extents(mask, centre, along);
  const bins = 40;
  const left = new Float64Array(bins).fill(Number.POSITIVE_INFINITY);
  const right = new Float64Array(bins).fill(Number.NEGATIVE_INFINITY);
  const { width, height, data } = mask;
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      if (data[y * width + x] === 0) continue;
      const u = (x - centre.x) * along.x + (y - centre.y) * along.y;
      const v = -(x - centre.x) * along.y + (y - centre.y) * along.x;
      const bin = Math.min(bins - 1, Math.floor(((u - box.from) / (box.to - box.from)) * bins));
      left[bin] = Math.min(left[bin]!, v);
      right[bin] = Math.max(right[bin]!, v);
    }
  let widest = 0;
  for (let bin = 1; bin < bins; bin += 1)
    if (right[bin]! - left[bin]! > right[widest]! - left[widest]!) widest = bin;
  const toesAhead = widest >= bins / 2;
  const end = (u: number): Point => ({ x: centre.x + along.x * u, y: centre.y + along.y * u });
  return toesAhead ? { heel: end(box.from), toe: end(box.to) } : { heel: end(box.to), toe: end(box.from) };
}
