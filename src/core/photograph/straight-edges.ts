import type { Picture } from '../examination/footprint/picture';
import type { Line } from './tilt';

/** A straight edge that was found in a picture. */
export interface StraightEdge {
  /** Its longest stretch without a gap. */
  line: Line;
  /** From its first to its last pixel, whatever hides it between. */
  whole: Line;
  /** Pixels on all of it. */
  pixels: number;
  /** Direction of its normal, degrees from the x axis, between −90 and 90. */
  normalDeg: number;
  /** Distance of the line from the upper left corner along that normal, px. */
  offset: number;
  /** Pixels of the longest stretch. */
  support: number;
  /** Whether it gets brighter along the normal. */
  rises: boolean;
}

/** Where edges are looked for, px, and how far their normal may lie from which direction, degrees. */
export interface EdgeSearch {
  top: number;
  bottom: number;
  normalDeg: number;
  withinDeg: number;
  /** Least pixels along an edge. */
  least: number;
}

/** What a step of brightness is worth looking at, of 255. Ours. */
const LEAST_STEP = 14;
const ANGLE_STEP = 0.5;
const OFFSET_STEP = 2;
/** A pixel votes for lines so close to its own direction, degrees, and belongs to one so close to it, px. */
const VOTES_WITHIN = 3;
const BELONGS_PX = 2.2;
const MOST_EDGES = 24;
const RADIANS = Math.PI / 180;

interface EdgePixels {
  x: Float32Array;
  y: Float32Array;
  /** Direction in which it gets brighter, folded to −90 … 90, and whether it was folded. */
  normal: Float32Array;
  rises: Uint8Array;
  weight: Float32Array;
  count: number;
}

function brightness({ width, height, data }: Picture): Float32Array {
  const grey = new Float32Array(width * height);
  for (let at = 0; at < grey.length; at += 1)
    grey[at] = 0.299 * data[at * 4]! + 0.587 * data[at * 4 + 1]! + 0.114 * data[at * 4 + 2]!;
  return grey;
}

/** Brightness smoothed by 1-2-1 both ways: grain of a sensor is no edge. */
function smooth(grey: Float32Array, width: number, height: number): Float32Array {
  const across = new Float32Array(grey.length);
  const both = new Float32Array(grey.length);
  for (let y = 0; y < height; y += 1)
    for (let x = 1; x < width - 1; x += 1) {
      const at = y * width + x;
      across[at] = (grey[at - 1]! + 2 * grey[at]! + grey[at + 1]!) / 4;
    }
  for (let y = 1; y < height - 1; y += 1)
    for (let x = 1; x < width - 1; x += 1) {
      const at = y * width + x;
      both[at] = (across[at - width]! + 2 * across[at]! + across[at + width]!) / 4;
    }
  return both;
}

/** A picture’s brightness without its grain. */
export interface SmoothPicture {
  width: number;
  height: number;
  grey: Float32Array;
}

export const smoothPicture = (picture: Picture): SmoothPicture => {
  const { width, height } = picture;
  return { width, height, grey: smooth(smooth(brightness(picture), width, height), width, height) };
};

/** Pixels at which brightness changes, with the direction of the change (Sobel), thinned to the crest across it. */
function edgePixels({ width, height, grey }: SmoothPicture, search: EdgeSearch): EdgePixels {
  const most = width * height;
  const [x, y, normal, weight] = [0, 1, 2, 3].map(() => new Float32Array(most)) as [
    Float32Array,
    Float32Array,
    Float32Array,
    Float32Array,
  ];
  const rises = new Uint8Array(most);
  let count = 0;
  const step = (at: number) => {
    const right = grey[at - width + 1]! + 2 * grey[at + 1]! + grey[at + width + 1]!;
    const left = grey[at - width - 1]! + 2 * grey[at - 1]! + grey[at + width - 1]!;
    const below = grey[at + width - 1]! + 2 * grey[at + width]! + grey[at + width + 1]!;
    const above = grey[at - width - 1]! + 2 * grey[at - width]! + grey[at - width + 1]!;
    return [(right - left) / 4, (below - above) / 4] as const;
  };
  const strength = (at: number) => Math.hypot(...step(at));
  const from = Math.max(3, Math.floor(search.top));
  const to = Math.min(height - 4, Math.ceil(search.bottom));
  for (let row = from; row < to; row += 1)
    for (let column = 3; column < width - 3; column += 1) {
      const at = row * width + column;
      const [dx, dy] = step(at);
      const size = Math.hypot(dx, dy);
      if (size < LEAST_STEP) continue;
      const direction = Math.atan2(dy, dx) / RADIANS;
      const folded = direction > 90 ? direction - 180 : direction <= -90 ? direction + 180 : direction;
      if (awayFrom(folded, search.normalDeg) > search.withinDeg + VOTES_WITHIN) continue;
      // The crest only: a blurred edge is several pixels wide.
      const beside = Math.abs(dx) >= Math.abs(dy) ? 1 : width;
      const [before, after] = [strength(at - beside), strength(at + beside)];
      if (before > size || after >= size) continue;
      // Where the crest lies between pixels, by a parabola through three.
      const bend = before - 2 * size + after;
      const shift = bend === 0 ? 0 : (before - after) / (2 * bend);
      x[count] = column + (beside === 1 ? shift : 0);
      y[count] = row + (beside === 1 ? 0 : shift);
      normal[count] = folded;
      rises[count] = folded === direction ? 1 : 0;
      weight[count] = Math.min(size, 80);
      count += 1;
    }
  return { x, y, normal, rises, weight, count };
}

/** Degrees between two directions of a line, 0 … 90. */
const awayFrom = (a: number, b: number): number => {
  const apart = Math.abs(a - b) % 180;
  return Math.min(apart, 180 - apart);
};

/**
 * Straight edges of a picture, the longest first: pixels vote for the lines that run through them in about their own direction (Hough
 * 1962; Duda & Hart 1972, from memory), and each line is then laid through its pixels by total least squares.
 */
export function straightEdges(picture: SmoothPicture, search: EdgeSearch): StraightEdge[] {
  const pixels = edgePixels(picture, search);
  const reach = Math.ceil(Math.hypot(picture.width, picture.height));
  const angles = Math.round((2 * search.withinDeg) / ANGLE_STEP) + 1;
  const offsets = Math.ceil((2 * reach) / OFFSET_STEP) + 1;
  const taken = new Uint8Array(pixels.count);
  const found: StraightEdge[] = [];
  const votes = [0, 1].map(() => new Float32Array(angles * offsets)) as [Float32Array, Float32Array];
  const cosines = Array.from({ length: angles }, (_, at) => {
    const angle = (search.normalDeg - search.withinDeg + at * ANGLE_STEP) * RADIANS;
    return { angle, cos: Math.cos(angle), sin: Math.sin(angle) };
  });
  /** Adds what a pixel votes for, or takes it back. */
  const vote = (pixel: number, sign: 1 | -1) => {
    const turned = fold(pixels.normal[pixel]!, search.normalDeg);
    const middle = Math.round((turned - search.normalDeg + search.withinDeg) / ANGLE_STEP);
    const around = VOTES_WITHIN / ANGLE_STEP;
    const rises = turned === pixels.normal[pixel] ? pixels.rises[pixel]! : 1 - pixels.rises[pixel]!;
    const table = votes[rises === 1 ? 1 : 0];
    for (let at = Math.max(0, middle - around); at <= Math.min(angles - 1, middle + around); at += 1) {
      const { cos, sin } = cosines[at]!;
      const offset = Math.round((pixels.x[pixel]! * cos + pixels.y[pixel]! * sin + reach) / OFFSET_STEP);
      table[at * offsets + offset]! += sign;
    }
  };
  for (let pixel = 0; pixel < pixels.count; pixel += 1) vote(pixel, 1);
  for (let round = 0; round < MOST_EDGES; round += 1) {
    const best = largest(votes);
    if (best.votes < search.least / 2) break;
    const { angle } = cosines[Math.floor(best.at / offsets)]!;
    const offset = (best.at % offsets) * OFFSET_STEP - reach;
    const members = near(pixels, taken, angle, offset, best.rises, search.normalDeg);
    const edge =
      members.length < search.least / 2 ? null : through(pixels, members, best.rises, search.normalDeg);
    for (const pixel of members) {
      taken[pixel] = 1;
      vote(pixel, -1);
    }
    // A cell whose votes were all taken by neighbours would be chosen for ever.
    if (members.length === 0) votes[best.rises ? 1 : 0][best.at] = 0;
    if (
      edge &&
      edge.support >= search.least &&
      awayFrom(edge.normalDeg, search.normalDeg) <= search.withinDeg
    )
      found.push(edge);
  }
  return found.toSorted((a, b) => b.support - a.support);
}

/** A direction turned by half a turn where that brings it nearer to another. */
const fold = (direction: number, about: number): number =>
  direction - about > 90 ? direction - 180 : direction - about < -90 ? direction + 180 : direction;

function largest(tables: readonly [Float32Array, Float32Array]): {
  at: number;
  votes: number;
  rises: boolean;
} {
  let best = { at: 0, votes: 0, rises: false };
  for (const rises of [false, true]) {
    const table = tables[rises ? 1 : 0];
    for (let at = 0; at < table.length; at += 1)
      if (table[at]! > best.votes) best = { at, votes: table[at]!, rises };
  }
  return best;
}

function near(
  { x, y, normal, rises, count }: EdgePixels,
  taken: Uint8Array,
  angle: number,
  offset: number,
  isRising: boolean,
  about: number,
): number[] {
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const members: number[] = [];
  for (let pixel = 0; pixel < count; pixel += 1) {
    if (taken[pixel] || Math.abs(x[pixel]! * cos + y[pixel]! * sin - offset) > BELONGS_PX) continue;
    const turned = fold(normal[pixel]!, about);
    const rising = turned === normal[pixel] ? rises[pixel] === 1 : rises[pixel] === 0;
    if (rising === isRising) members.push(pixel);
  }
  return members;
}

/** Lays a line through its pixels by total least squares, and once more through those that stayed close to it. */
function through(
  pixels: EdgePixels,
  members: readonly number[],
  rises: boolean,
  about: number,
): StraightEdge | null {
  let kept = members;
  let line = fitted(pixels, kept);
  for (let again = 0; again < 2 && line; again += 1) {
    const { cos, sin, offset } = line;
    kept = members.filter((pixel) => Math.abs(pixels.x[pixel]! * cos + pixels.y[pixel]! * sin - offset) < 1);
    line = fitted(pixels, kept);
  }
  if (!line) return null;
  const { cos, sin, offset } = line;
  const along = kept.map((pixel) => pixels.y[pixel]! * cos - pixels.x[pixel]! * sin);
  const run = longestRun(along);
  const spot = (t: number) => ({ x: offset * cos - t * sin, y: offset * sin + t * cos });
  return {
    line: [spot(run.from), spot(run.to)],
    whole: [spot(run.first), spot(run.last)],
    pixels: kept.length,
    normalDeg: fold(Math.atan2(sin, cos) / RADIANS, about),
    offset,
    support: run.count,
    rises,
  };
}

function fitted({ x, y, weight }: EdgePixels, members: readonly number[]) {
  if (members.length < 8) return null;
  let [sum, mx, my] = [0, 0, 0];
  for (const pixel of members) {
    sum += weight[pixel]!;
    mx += weight[pixel]! * x[pixel]!;
    my += weight[pixel]! * y[pixel]!;
  }
  mx /= sum;
  my /= sum;
  let [xx, xy, yy] = [0, 0, 0];
  for (const pixel of members) {
    const [dx, dy, w] = [x[pixel]! - mx, y[pixel]! - my, weight[pixel]!];
    xx += w * dx * dx;
    xy += w * dx * dy;
    yy += w * dy * dy;
  }
  // The normal is the direction of least spread.
  const angle = 0.5 * Math.atan2(2 * xy, xx - yy) + Math.PI / 2;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  return { cos, sin, offset: mx * cos + my * sin };
}

/** A gap in an edge that is still the same edge, px. */
const GAP_PX = 12;

/** The longest stretch without a gap. */
function longestRun(along: readonly number[]) {
  const sorted = along.toSorted((a, b) => a - b);
  let best = { from: 0, to: 0, count: 0 };
  let start = 0;
  for (let at = 1; at <= sorted.length; at += 1)
    if (at === sorted.length || sorted[at]! - sorted[at - 1]! > GAP_PX) {
      if (at - start > best.count) best = { from: sorted[start]!, to: sorted[at - 1]!, count: at - start };
      start = at;
    }
  return { ...best, first: sorted[0]!, last: sorted.at(-1)! };
}
