import type { Side } from '../../findings/finding-kinds';
import { fail, ok, type Result } from '../../result/result';
import { anchors, measurePrint, midfootOffset, type PrintIndices } from './indices';
import { directions, extents, type FootAxis, firstAxis, type Point, spreadOf } from './orient';
import { areaOf, emptyMask, type Mask, type Picture, shrink } from './picture';
import { depthMap, fillHoles, keepPieces, type Piece, piecesOf, widen } from './pieces';
import { separate } from './separate';
import { splitToes } from './toes';

export interface PrintOptions {
  /** The foot that the clinician says it is. */
  side: Side;
  /** Seen from below, as through a scanner's glass: mirrored before anything else. */
  mirrored?: boolean;
  /** Part of the picture to read, in shares of its width and height. */
  crop?: { left: number; top: number; right: number; bottom: number };
  /** Where two prints lie side by side, the one to read. */
  which?: 'first' | 'second';
  /** The other end is the toes. */
  turned?: boolean;
}

export type PrintNote =
  | 'wrong-side'
  | 'side-unclear'
  | 'interrupted'
  | 'toes-not-found'
  | 'tracing'
  | 'foot-outline'
  | 'coarse';

export const PRINT_NOTES: Record<PrintNote, string> = {
  'wrong-side':
    'This looks like the print of the other foot. Change the side, or say that the picture is mirrored.',
  'side-unclear': 'Left or right cannot be told from this print: the side is taken from you.',
  interrupted:
    'The print is interrupted under the arch: the midfoot width is 0, which is a value, not a gap.',
  'toes-not-found':
    'Fewer than three toes were found, so the axis runs from the heel to the middle of the forefoot: check it.',
  tracing: 'Read as a drawn outline: what it encloses is taken as the print.',
  'foot-outline':
    'This outline shows no arch at all, as a tracing around the foot does. Indices need the print of the contact, not of the whole foot.',
  coarse: 'The print is small in the picture: the indices are good to about 0.01 only.',
};

/** A print found in a picture, before and after the clinician's corrections. Pixels of the shrunk picture. */
export interface FoundPrint {
  /** Pixels of the given picture to one of the masks. */
  factor: number;
  /** What the masks lie on: the shrunk, cropped and (if asked) mirrored picture. */
  picture: Picture;
  sole: Mask;
  toes: Mask;
  axis: FootAxis;
  side: Side;
  /** What the shape itself says, where it says anything. */
  seenSide: Side | null;
  notes: PrintNote[];
}

const LEAST_LENGTH = 120;
const COARSE_LENGTH = 300;

/**
 * Finds one footprint in a picture: print, toes, axis (heel centre to the tip of the second toe) and side.
 * Errors: `blank`, `over-exposed`, `no-contrast`, `too-small`, `two-prints`, `not-a-foot`.
 */
export function findPrint(given: Picture, options: PrintOptions): Result<FoundPrint> {
  const shrunk = shrink(cropped(given, options.crop));
  const picture = options.mirrored ? mirror(shrunk.picture) : shrunk.picture;
  const separated = separate(picture);
  if (!separated.ok) return separated;
  const body = footOf(separated.value, options.which);
  if (!body.ok) return body;
  const { print, tracing } = body.value;
  const notes: PrintNote[] = tracing ? ['tracing'] : [];

  let axis = firstAxis(print);
  if (options.turned) axis = { heel: axis.toe, toe: axis.heel };
  const size = directions(axis).length;
  if (size < LEAST_LENGTH)
    return fail(
      'too-small',
      `The print is only ${Math.round(size)} pixels long here; ${LEAST_LENGTH} are needed. Take the picture closer, or crop to the print.`,
    );
  if (size < COARSE_LENGTH) notes.push('coarse');

  const split = splitToes(print, axis);
  const seen = seenSide(split.sole, split.pieces, axis);
  const side = options.side;
  if (seen === null) notes.push('side-unclear');
  else if (seen !== side) notes.push('wrong-side');
  if (split.pieces.length < 3) notes.push('toes-not-found');
  axis = anatomicalAxis(split.sole, split.toes, split.pieces, axis, seen ?? side);

  const indices = measurePrint(split.sole, axis, side);
  if (indices.interrupted) notes.push('interrupted');
  if (tracing && indices.chippauxSmirak > 75) notes.push('foot-outline');
  return ok({
    factor: shrunk.factor,
    picture,
    sole: split.sole,
    toes: split.toes,
    axis,
    side,
    seenSide: seen,
    notes,
  });
}

/** Indices of a found print, after any correction of masks or axis. */
export const indicesOf = (found: Pick<FoundPrint, 'sole' | 'axis' | 'side'>): Result<PrintIndices> =>
  areaOf(found.sole) < LEAST_LENGTH * 10
    ? fail('too-small', 'Too little of the print is left to measure.')
    : ok(measurePrint(found.sole, found.axis, found.side));

/** Length from the rearmost point of the heel to the longest toe, along the axis, in pixels of the masks. */
export function printLength({ sole, toes, axis }: Pick<FoundPrint, 'sole' | 'toes' | 'axis'>): number {
  const { along } = directions(axis);
  const heel = extents(sole, axis.heel, along).from;
  const tip = areaOf(toes) > 0 ? extents(toes, axis.heel, along).to : extents(sole, axis.heel, along).to;
  return tip - heel + 1;
}

function cropped(picture: Picture, crop: PrintOptions['crop']): Picture {
  if (!crop) return picture;
  const left = Math.round(Math.max(0, crop.left) * picture.width);
  const top = Math.round(Math.max(0, crop.top) * picture.height);
  const width = Math.max(1, Math.round(Math.min(1, crop.right) * picture.width) - left);
  const height = Math.max(1, Math.round(Math.min(1, crop.bottom) * picture.height) - top);
  const data = new Uint8ClampedArray(width * height * 4);
  for (let y = 0; y < height; y += 1) {
    const from = ((top + y) * picture.width + left) * 4;
    data.set(picture.data.subarray(from, from + width * 4), y * width * 4);
  }
  return { width, height, data };
}

export function mirror({ width, height, data }: Picture): Picture {
  const out = new Uint8ClampedArray(data.length);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1)
      for (let channel = 0; channel < 4; channel += 1)
        out[(y * width + (width - 1 - x)) * 4 + channel] = data[(y * width + x) * 4 + channel]!;
  return { width, height, data: out };
}

/** A footprint, toes included, is about two and a half times as long as wide. */
const LEAST_SLENDERNESS = 1.7;

/** The pieces that make one foot, holes closed; a drawn outline is filled. */
function footOf(
  mask: Mask,
  which: 'first' | 'second' | undefined,
): Result<{ print: Mask; tracing: boolean }> {
  const ink = areaOf(mask);
  const filled = fillHoles(mask);
  const tracing = areaOf(filled) > ink * 2.2;
  const solid = tracing ? insideOf(mask, filled) : fillHoles(mask, ink * 0.001);
  const found = piecesOf(solid);
  const largest = Math.max(0, ...found.pieces.map((piece) => piece.area));
  if (largest < 60) return fail('blank', 'No print stands out from the ground.');
  const real = (piece: Piece) => piece.area > largest * 0.006;
  let print = keepPieces(found, solid, real);
  const spread = spreadOf(print);
  if (spread.length / spread.width >= LEAST_SLENDERNESS) return ok({ print, tracing });

  const groups = twoGroups(found.pieces.filter(real));
  const halves = groups.map((labels) => keepPieces(found, solid, (piece) => labels.has(piece.label)));
  const [first, second] = halves;
  const slender = (half: Mask) => {
    const { length, width } = spreadOf(half);
    return length / width >= LEAST_SLENDERNESS;
  };
  if (first && second) {
    const share = areaOf(first) / (areaOf(first) + areaOf(second));
    if (share > 0.25 && share < 0.75 && slender(first) && slender(second)) {
      if (!which)
        return fail(
          'two-prints',
          'There are two prints in this picture. Say which one to read, or crop to it.',
        );
      print = which === 'first' ? first : second;
      return ok({ print, tracing });
    }
    // A ruler or a stain beside the foot: read the print, leave the rest.
    const main = share >= 0.5 ? first : second;
    if (slender(main)) return ok({ print: main, tracing });
  }
  return fail(
    'not-a-foot',
    `What stands out is only ${(spread.length / spread.width).toFixed(1)} times as long as wide; a footprint is about 2.5 times. Crop to one print.`,
  );
}

/** What a pen line encloses, out to the middle of the line. */
function insideOf(line: Mask, filled: Mask): Mask {
  const inside = emptyMask(line.width, line.height);
  for (let at = 0; at < line.data.length; at += 1) inside.data[at] = filled.data[at]! & (1 - line.data[at]!);
  const thickest = depthMap(line).reduce((most, depth) => Math.max(most, depth), 0) / 3;
  return widen(inside, thickest * 0.9);
}

/** Two groups of pieces by place (2-means on centres by area), the left or upper one first. */
function twoGroups(pieces: readonly Piece[]): [Set<number>, Set<number>] | [] {
  if (pieces.length < 2) return [];
  const byArea = [...pieces].sort((a, b) => b.area - a.area);
  let centres: [Point, Point] = [byArea[0]!, byArea[1]!];
  let groups: [Piece[], Piece[]] = [[], []];
  for (let turn = 0; turn < 20; turn += 1) {
    groups = [[], []];
    for (const piece of pieces) {
      const near = (centre: Point) => (piece.x - centre.x) ** 2 + (piece.y - centre.y) ** 2;
      groups[near(centres[0]) <= near(centres[1]) ? 0 : 1].push(piece);
    }
    const middle = (group: Piece[], before: Point): Point => {
      const area = group.reduce((sum, piece) => sum + piece.area, 0);
      if (area === 0) return before;
      return {
        x: group.reduce((sum, piece) => sum + piece.x * piece.area, 0) / area,
        y: group.reduce((sum, piece) => sum + piece.y * piece.area, 0) / area,
      };
    };
    centres = [middle(groups[0], centres[0]), middle(groups[1], centres[1])];
  }
  const sideways = Math.abs(centres[0].x - centres[1].x) >= Math.abs(centres[0].y - centres[1].y);
  const swap = sideways ? centres[0].x > centres[1].x : centres[0].y > centres[1].y;
  const [first, second] = groups.map((group) => new Set(group.map((piece) => piece.label)));
  return swap ? [second!, first!] : [first!, second!];
}

/** Left or right from where the midfoot lies and where the big toe is. */
function seenSide(sole: Mask, toes: readonly Piece[], axis: FootAxis): Side | null {
  let score = midfootOffset(sole, axis) * 4;
  if (toes.length >= 3) {
    const { right } = directions(axis);
    const big = toes.reduce((most, toe) => (toe.area > most.area ? toe : most));
    const middle = toes.reduce((sum, toe) => sum + toe.x * right.x + toe.y * right.y, 0) / toes.length;
    score += big.x * right.x + big.y * right.y < middle ? 0.5 : -0.5;
  }
  if (Math.abs(score) < 0.15) return null;
  return score > 0 ? 'right' : 'left';
}

/** Heel centre to the tip of the second toe; without toes to the middle of the forefoot. */
function anatomicalAxis(
  sole: Mask,
  toes: Mask,
  pieces: readonly Piece[],
  first: FootAxis,
  side: Side,
): FootAxis {
  let axis = first;
  const fromInside = side === 'right' ? pieces : [...pieces].reverse();
  const second = fromInside.length >= 3 ? fromInside[1] : undefined;
  const labels = second ? piecesOf(toes).labels : null;
  for (let turn = 0; turn < 3; turn += 1) {
    const { heel, forefoot } = anchors(sole, axis);
    const toe = second && labels ? tipOf(labels, second.label, toes, axis) : forefoot;
    axis = { heel, toe };
  }
  return extended(axis, sole);
}

/** The point of a toe that lies farthest forward: the middle of its foremost pixels. */
function tipOf(labels: Int32Array, label: number, { width }: Mask, axis: FootAxis): Point {
  const { along } = directions(axis);
  let far = Number.NEGATIVE_INFINITY;
  for (let at = 0; at < labels.length; at += 1)
    if (labels[at] === label) far = Math.max(far, (at % width) * along.x + Math.floor(at / width) * along.y);
  let x = 0;
  let y = 0;
  let count = 0;
  for (let at = 0; at < labels.length; at += 1) {
    if (labels[at] !== label) continue;
    const px = at % width;
    const py = Math.floor(at / width);
    if (px * along.x + py * along.y < far - 1.5) continue;
    x += px;
    y += py;
    count += 1;
  }
  return { x: x / count, y: y / count };
}

/** The same line, drawn from the rearmost point of the heel so that it starts where the foot does. */
function extended(axis: FootAxis, sole: Mask): FootAxis {
  const { along } = directions(axis);
  const { from } = extents(sole, axis.heel, along);
  return { heel: { x: axis.heel.x + along.x * from, y: axis.heel.y + along.y * from }, toe: axis.toe };
}

/** Paints or wipes a round spot: how a clinician corrects an outline. Coordinates in pixels of the mask. */
export function paint(mask: Mask, at: Point, radius: number, value: 0 | 1): Mask {
  const out = emptyMask(mask.width, mask.height);
  out.data.set(mask.data);
  for (let y = Math.max(0, Math.floor(at.y - radius)); y <= Math.min(mask.height - 1, at.y + radius); y += 1)
    for (let x = Math.max(0, Math.floor(at.x - radius)); x <= Math.min(mask.width - 1, at.x + radius); x += 1)
      if ((x - at.x) ** 2 + (y - at.y) ** 2 <= radius * radius) out.data[y * mask.width + x] = value;
  return out;
}
