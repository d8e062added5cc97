import { fail, ok, type Result } from '../../result/result';
import { emptyMask, type Mask, type Picture } from './picture';

/** Least difference between print and ground, in levels of 255, at which a print can be told from noise. */
const LEAST_CONTRAST = 14;

/**
 * Separates a print from its ground, whatever their colours: the ground's colour is a second-degree surface
 * over the picture (a lamp to one side is no print), and Otsu's threshold on the distance from it decides.
 * Otsu 1979, IEEE Trans Syst Man Cybern 9:62–66, from memory.
 *
 * @returns the mask of the print, or why there is none: `blank`, `over-exposed`, `no-contrast`
 */
export function separate(picture: Picture): Result<Mask> {
  const border = borderColour(picture);
  const flat = distanceMap(picture, () => border);
  const first = otsu(flat);
  const ground = groundSurface(picture, flat, Math.max(first.threshold, LEAST_CONTRAST));
  const distance = ground ? distanceMap(picture, ground) : flat;
  const cut = otsu(distance);
  if (cut.above - cut.below < LEAST_CONTRAST) return fail(...reasonFor(picture, border));
  const mask = emptyMask(picture.width, picture.height);
  for (let at = 0; at < distance.length; at += 1) mask.data[at] = distance[at]! > cut.threshold ? 1 : 0;
  return ok(smooth(smooth(mask)));
}

function reasonFor(picture: Picture, ground: Colour): [code: string, message: string] {
  let saturated = 0;
  for (let at = 0; at < picture.data.length; at += 4)
    if (picture.data[at]! > 250 && picture.data[at + 1]! > 250 && picture.data[at + 2]! > 250) saturated += 1;
  if (saturated > (picture.data.length / 4) * 0.5)
    return [
      'over-exposed',
      'The picture is burnt out: more than half of it is plain white. Take it again with less light, or darken the scan.',
    ];
  const dark = ground[0] + ground[1] + ground[2] < 90;
  return [
    dark ? 'no-contrast' : 'blank',
    dark
      ? 'The picture is too dark to tell the print from the ground. Take it again with more light.'
      : 'No print stands out from the ground. Check that the picture shows a print, and take it again with more contrast.',
  ];
}

type Colour = readonly [number, number, number];

function borderColour({ width, height, data }: Picture): Colour {
  const rim = Math.max(1, Math.round(Math.min(width, height) * 0.02));
  const histograms = [new Uint32Array(256), new Uint32Array(256), new Uint32Array(256)];
  let count = 0;
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      if (y >= rim && y < height - rim && x >= rim && x < width - rim) continue;
      const at = (y * width + x) * 4;
      for (let channel = 0; channel < 3; channel += 1) histograms[channel]![data[at + channel]!]! += 1;
      count += 1;
    }
  return histograms.map((histogram) => {
    let seen = 0;
    for (let level = 0; level < 256; level += 1) {
      seen += histogram[level]!;
      if (seen * 2 >= count) return level;
    }
    return 255;
  }) as unknown as Colour;
}

type Ground = Colour | ((x: number, y: number) => Colour);

function distanceMap(picture: Picture, ground: (x: number, y: number) => Ground): Uint8Array {
  const { width, height, data } = picture;
  const map = new Uint8Array(width * height);
  // The surface is smooth: one colour for each block of eight by eight is enough.
  for (let top = 0; top < height; top += 8)
    for (let left = 0; left < width; left += 8) {
      const [red, green, blue] = ground(left + 4, top + 4) as Colour;
      for (let y = top; y < Math.min(top + 8, height); y += 1)
        for (let x = left; x < Math.min(left + 8, width); x += 1) {
          const at = y * width + x;
          const dr = data[at * 4]! - red;
          const dg = data[at * 4 + 1]! - green;
          const db = data[at * 4 + 2]! - blue;
          map[at] = Math.min(255, Math.sqrt((dr * dr + dg * dg + db * db) / 3));
        }
    }
  return map;
}

/** Least squares of each channel over 1, x, y, x², xy, y² on the pixels that look like ground. */
function groundSurface(
  { width, height, data }: Picture,
  flat: Uint8Array,
  limit: number,
): ((x: number, y: number) => Colour) | null {
  const step = Math.max(1, Math.round(Math.max(width, height) / 120));
  const terms = (x: number, y: number) => {
    const u = (2 * x) / width - 1;
    const v = (2 * y) / height - 1;
    return [1, u, v, u * u, u * v, v * v];
  };
  const normal = Array.from({ length: 6 }, () => new Float64Array(9));
  let used = 0;
  for (let y = step >> 1; y < height; y += step)
    for (let x = step >> 1; x < width; x += step) {
      const at = y * width + x;
      if (flat[at]! > limit) continue;
      used += 1;
      const row = terms(x, y);
      for (let i = 0; i < 6; i += 1) {
        for (let j = 0; j < 6; j += 1) normal[i]![j]! += row[i]! * row[j]!;
        for (let channel = 0; channel < 3; channel += 1)
          normal[i]![6 + channel]! += row[i]! * data[at * 4 + channel]!;
      }
    }
  if (used < 60 || !eliminate(normal)) return null;
  return (x, y) => {
    const row = terms(x, y);
    const colour = [0, 0, 0];
    for (let channel = 0; channel < 3; channel += 1)
      for (let i = 0; i < 6; i += 1) colour[channel]! += row[i]! * normal[i]![6 + channel]!;
    return colour as unknown as Colour;
  };
}

/** Gauss–Jordan with pivots, in place; false when the system has no single answer. */
function eliminate(rows: Float64Array[]): boolean {
  for (let column = 0; column < rows.length; column += 1) {
    let pivot = column;
    for (let row = column; row < rows.length; row += 1)
      if (Math.abs(rows[row]![column]!) > Math.abs(rows[pivot]![column]!)) pivot = row;
    if (Math.abs(rows[pivot]![column]!) < 1e-9) return false;
    [rows[column], rows[pivot]] = [rows[pivot]!, rows[column]!];
    const lead = rows[column]!;
    const scale = lead[column]!;
    for (let at = 0; at < lead.length; at += 1) lead[at]! /= scale;
    for (let row = 0; row < rows.length; row += 1) {
      const share = row === column ? 0 : rows[row]![column]!;
      if (share !== 0) for (let at = 0; at < lead.length; at += 1) rows[row]![at]! -= share * lead[at]!;
    }
  }
  return true;
}

/** Otsu's threshold with the mean level on either side of it. */
export function otsu(levels: Uint8Array): { threshold: number; below: number; above: number } {
  const histogram = new Float64Array(256);
  for (let at = 0; at < levels.length; at += 1) histogram[levels[at]!]! += 1;
  let total = 0;
  for (let level = 0; level < 256; level += 1) total += level * histogram[level]!;
  let best = { threshold: 0, below: 0, above: 0, spread: -1 };
  let count = 0;
  let sum = 0;
  for (let level = 0; level < 255; level += 1) {
    count += histogram[level]!;
    sum += level * histogram[level]!;
    const rest = levels.length - count;
    if (count === 0 || rest === 0) continue;
    const below = sum / count;
    const above = (total - sum) / rest;
    const spread = count * rest * (above - below) ** 2;
    if (spread > best.spread) best = { threshold: level, below, above, spread };
  }
  return best;
}

/** Majority of each three by three: single specks go, single gaps close. */
function smooth(mask: Mask): Mask {
  const { width, height, data } = mask;
  const out = emptyMask(width, height);
  for (let y = 1; y < height - 1; y += 1) {
    let left = 0;
    let middle = columnOf(data, width, 0, y);
    let right = columnOf(data, width, 1, y);
    for (let x = 1; x < width - 1; x += 1) {
      left = middle;
      middle = right;
      right = columnOf(data, width, x + 1, y);
      out.data[y * width + x] = left + middle + right > 4 ? 1 : 0;
    }
  }
  return out;
}

const columnOf = (data: Uint8Array, width: number, x: number, y: number) =>
  data[(y - 1) * width + x]! + data[y * width + x]! + data[(y + 1) * width + x]!;
