import type { Point } from '../footprint/orient';
import type { Picture } from '../footprint/picture';
import type { GaitLine, HeelLines } from './heel-angle';

const brightness = ({ width, data }: Picture, x: number, y: number): number => {
  const at = (y * width + x) * 4;
  return 0.299 * data[at]! + 0.587 * data[at + 1]! + 0.114 * data[at + 2]!;
};

/** A mark stands out from the skin by at least this, levels of 255. */
const LEAST_CONTRAST = 25;

/**
 * Moves a point to the middle of the dark mark (pen dot, tape) near it, to a fraction of a pixel: the centre of
 * darkness below the halfway level between the darkest spot and the skin around. A mark that the first look cuts
 * off at its rim is looked at again from its own middle. Pixel n spans n to n + 1.
 *
 * @returns null when nothing dark enough lies within the radius
 */
export function snapToMark(picture: Picture, near: Point, radius: number): Point | null {
  let at = near;
  for (let look = 0; look < 4; look += 1) {
    const found = darkMiddle(picture, at, radius);
    if (!found) return null;
    const moved = Math.hypot(found.x - at.x, found.y - at.y);
    at = found;
    if (moved < 0.25) break;
  }
  return at;
}

function darkMiddle(picture: Picture, near: Point, radius: number): Point | null {
  const left = Math.max(0, Math.floor(near.x - radius));
  const right = Math.min(picture.width - 1, Math.ceil(near.x + radius));
  const top = Math.max(0, Math.floor(near.y - radius));
  const bottom = Math.min(picture.height - 1, Math.ceil(near.y + radius));
  const inside = (x: number, y: number) => (x - near.x) ** 2 + (y - near.y) ** 2 <= radius * radius;
  let darkest = 255;
  let darkX = 0;
  let darkY = 0;
  const levels: number[] = [];
  for (let y = top; y <= bottom; y += 1)
    for (let x = left; x <= right; x += 1) {
      if (!inside(x, y)) continue;
      const level = brightness(picture, x, y);
      levels.push(level);
      if (level < darkest) {
        darkest = level;
        darkX = x;
        darkY = y;
      }
    }
  if (levels.length === 0) return null;
  levels.sort((a, b) => a - b);
  const skin = levels[levels.length >> 1]!;
  if (skin - darkest < LEAST_CONTRAST) return null;
  // Only the darkness connected with the darkest spot: a second mark or a shadow at the rim is not this one.
  const cut = (skin + darkest) / 2;
  const queue: [number, number][] = [[darkX, darkY]];
  const seen = new Set<number>([darkY * picture.width + darkX]);
  let sum = 0;
  let sumX = 0;
  let sumY = 0;
  for (let head = 0; head < queue.length; head += 1) {
    const [x, y] = queue[head]!;
    const weight = Math.max(0, skin - brightness(picture, x, y));
    sum += weight;
    sumX += weight * x;
    sumY += weight * y;
    for (const [dx, dy] of [
      [1, 0],
      [-1, 0],
      [0, 1],
      [0, -1],
    ] as const) {
      const nx = x + dx;
      const ny = y + dy;
      const key = ny * picture.width + nx;
      if (nx < left || nx > right || ny < top || ny > bottom || seen.has(key)) continue;
      if (brightness(picture, nx, ny) > cut) continue;
      seen.add(key);
      queue.push([nx, ny]);
    }
  }
  return { x: sumX / sum + 0.5, y: sumY / sum + 0.5 };
}

const mapLines = ({ leg, heel }: HeelLines, move: (point: Point) => Point | null): HeelLines | null => {
  const ends = [...leg, ...heel].map(move);
  if (ends.some((end) => end === null)) return null;
  const [a, b, c, d] = ends as [Point, Point, Point, Point];
  return { leg: [a, b] as GaitLine, heel: [c, d] as GaitLine };
};

/** All four ends on their marks; null when one of them finds none. */
export const snapLines = (picture: Picture, lines: HeelLines, radius: number): HeelLines | null =>
  mapLines(lines, (point) => snapToMark(picture, point, radius));

/**
 * Follows the four marks from one frame to the next: each is looked for where its last step would carry it.
 *
 * @returns lines of the next frame, null when a mark is lost
 */
export function followMarks(
  picture: Picture,
  now: HeelLines,
  before: HeelLines | null,
  radius: number,
): HeelLines | null {
  const expected = (at: Point, was: Point | undefined): Point =>
    was ? { x: 2 * at.x - was.x, y: 2 * at.y - was.y } : at;
  const ends = [...now.leg, ...now.heel];
  const earlier = before ? [...before.leg, ...before.heel] : [];
  let index = 0;
  return mapLines(now, () => {
    const point = expected(ends[index]!, earlier[index]);
    index += 1;
    return snapToMark(picture, point, radius);
  });
}
