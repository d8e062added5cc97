import type { Picture } from '../examination/footprint/picture';
import { fail, ok, type Result } from '../result/result';
import { type StraightEdge, smoothPicture, straightEdges } from './straight-edges';
import { type Line, lengthOf, type Spot } from './tilt';

/** A prosthesis in a shoe on a table, from the side: the table's edge and the middle of the pylon. */
export interface ShankLines {
  table: Line;
  pylon: Line;
}

/** How steep a table may stand in a picture and how far a pylon may lean from the table's upright, degrees. */
const TABLE_WITHIN = 15;
const PYLON_WITHIN = 22;
/** A table’s edge is seen on so much of the width and runs from one side to the other, a pylon over so much of the height. Ours. */
const TABLE_SHARE = 0.35;
const TABLE_REACH = 0.7;
const TABLE_PIECE = 0.12;
const PYLON_SHARE = 0.12;
/** Both sides of a pylon run alike, so far apart, shares of the width. */
const SIDES_WITHIN = 1.2;
const NARROWEST = 0.012;
const WIDEST = 0.12;

/**
 * Finds the table's edge and the pylon in a photograph from the side: the longest nearly level edge, and above it two long edges that
 * run alike, one brightening and one darkening, no further apart than a tube is wide. Where one is hidden it says so; both can be placed by
 * hand.
 */
export function findShankLines(picture: Picture): Result<ShankLines> {
  const { width, height } = picture;
  const smooth = smoothPicture(picture);
  const table = straightEdges(smooth, {
    top: height * 0.3,
    bottom: height,
    normalDeg: 90,
    withinDeg: TABLE_WITHIN,
    least: width * TABLE_PIECE,
  })
    .filter(({ whole, pixels }) => pixels >= width * TABLE_SHARE && lengthOf(whole) >= width * TABLE_REACH)
    .toSorted((a, b) => b.pixels - a.pixels)[0];
  if (!table)
    return fail('no-edge', 'No straight table edge is seen. Show its whole edge, or place the line by hand.');
  const upright = table.normalDeg - 90;
  const above = Math.min(table.whole[0].y, table.whole[1].y);
  const sides = straightEdges(smooth, {
    top: 0,
    bottom: above,
    normalDeg: upright,
    withinDeg: PYLON_WITHIN,
    least: height * PYLON_SHARE,
  });
  const pylon = tubeAmong(sides, width);
  return pylon
    ? ok({ table: table.whole, pylon })
    : fail(
        'no-pylon',
        'No pylon is seen: cloth or a cover hides it. Bare it, or place a line along the shank by hand.',
      );
}

/** The middle of the pair of edges that runs longest alike. */
function tubeAmong(edges: readonly StraightEdge[], width: number): Line | null {
  let best: { line: Line; support: number } | null = null;
  for (const left of edges)
    for (const right of edges) {
      if (left.rises === right.rises || Math.abs(left.normalDeg - right.normalDeg) > SIDES_WITHIN) continue;
      const apart = middleOf(right).x - middleOf(left).x;
      if (apart < width * NARROWEST || apart > width * WIDEST) continue;
      const line = between(left, right);
      if (!line) continue;
      const support = Math.min(left.support, right.support);
      if (!best || support > best.support) best = { line, support };
    }
  return best?.line ?? null;
}

const middleOf = ({ line: [a, b] }: StraightEdge): Spot => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });

/** Midway between two edges over the height that they share; null where they share too little of it. */
function between(left: StraightEdge, right: StraightEdge): Line | null {
  const span = ({ line: [a, b] }: StraightEdge) => [Math.min(a.y, b.y), Math.max(a.y, b.y)] as const;
  const [leftSpan, rightSpan] = [span(left), span(right)];
  const top = Math.max(leftSpan[0], rightSpan[0]);
  const bottom = Math.min(leftSpan[1], rightSpan[1]);
  const shorter = Math.min(leftSpan[1] - leftSpan[0], rightSpan[1] - rightSpan[0]);
  if (bottom - top < shorter / 2) return null;
  const at = (y: number): Spot => ({ x: (xAt(left, y) + xAt(right, y)) / 2, y });
  return [at(top), at(bottom)];
}

const xAt = ({ line: [a, b] }: StraightEdge, y: number): number =>
  a.x + ((y - a.y) / (b.y - a.y)) * (b.x - a.x);
