import type { Side } from '../../findings/finding-kinds';
import { archIndex, type PrintAreas } from './arch-index';
import { directions, type FootAxis, type Point } from './orient';
import type { Mask } from './picture';

export type Segment = readonly [Point, Point];

/** Lines to draw over the print, in pixels of the mask. */
export interface Construction {
  axis: Segment;
  /** Rear end, two thirds, front end of the toeless print, square to the axis. */
  thirds: Segment[];
  forefootWidth: Segment;
  midfootWidth: Segment | null;
  heelWidth: Segment;
  innerTangent: Segment;
  clarkeDeepest: Segment | null;
  clarkeTangent: Segment | null;
}

/** Indices of one toeless print. Lengths in pixels of the mask. */
export interface PrintIndices {
  areas: PrintAreas;
  archIndex: number;
  /** Per cent; 0 for an interrupted print. */
  chippauxSmirak: number;
  staheli: number;
  /** Degrees, larger is a higher arch; 0 without a hollow. Two variants of the second line. */
  clarkeDeepest: number;
  clarkeTangent: number;
  lengthToeless: number;
  forefootWidth: number;
  midfootWidth: number;
  heelWidth: number;
  interrupted: boolean;
  construction: Construction;
}

interface Row {
  /** Ends of the print across the axis, pixels to the right of it. */
  left: number;
  right: number;
  /** Pixels of print in the row. */
  count: number;
}

/** Rows of the toeless print one pixel apart, square to the axis, from the rearmost point of the heel. */
function rowsOf(sole: Mask, axis: FootAxis): { rows: Row[]; start: number } {
  const { along, right } = directions(axis);
  const { width, height, data } = sole;
  let from = Number.POSITIVE_INFINITY;
  let to = Number.NEGATIVE_INFINITY;
  let leftmost = Number.POSITIVE_INFINITY;
  let rightmost = Number.NEGATIVE_INFINITY;
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      if (data[y * width + x] === 0) continue;
      const u = (x - axis.heel.x) * along.x + (y - axis.heel.y) * along.y;
      const v = (x - axis.heel.x) * right.x + (y - axis.heel.y) * right.y;
      from = Math.min(from, u);
      to = Math.max(to, u);
      leftmost = Math.min(leftmost, v);
      rightmost = Math.max(rightmost, v);
    }
  const rows: Row[] = [];
  for (let u = from; u <= to; u += 1) {
    const row: Row = { left: Number.NaN, right: Number.NaN, count: 0 };
    for (let v = Math.floor(leftmost) - 1; v <= rightmost + 1; v += 1) {
      const x = Math.round(axis.heel.x + along.x * u + right.x * v);
      const y = Math.round(axis.heel.y + along.y * u + right.y * v);
      if (x < 0 || y < 0 || x >= width || y >= height || data[y * width + x] === 0) continue;
      if (row.count === 0) row.left = v - 0.5;
      row.right = v + 0.5;
      row.count += 1;
    }
    rows.push(row);
  }
  return { rows, start: from };
}

const widthOf = (row: Row) => (row.count === 0 ? 0 : row.right - row.left);

/** Row with the most (or least) width between two shares of the length. */
function extreme(rows: readonly Row[], from: number, to: number, sign: 1 | -1): number {
  let best = Math.round(rows.length * from);
  for (let at = best; at < Math.min(rows.length, rows.length * to); at += 1)
    if (sign * widthOf(rows[at]!) > sign * widthOf(rows[best]!)) best = at;
  return best;
}

/** Heel centre (middle of the widest heel) and forefoot middle, which anchor the axis. */
export function anchors(sole: Mask, axis: FootAxis): { heel: Point; forefoot: Point } {
  const { rows, start } = rowsOf(sole, axis);
  const { along, right } = directions(axis);
  const at = (index: number): Point => {
    const middle = (rows[index]!.left + rows[index]!.right) / 2;
    const u = start + index;
    return {
      x: axis.heel.x + along.x * u + right.x * middle,
      y: axis.heel.y + along.y * u + right.y * middle,
    };
  };
  return { heel: at(extreme(rows, 0.04, 0.3, 1)), forefoot: at(extreme(rows, 0.6, 0.95, 1)) };
}

/** How far the midfoot lies to the right of the line from heel to forefoot, as a share of the forefoot width. */
export function midfootOffset(sole: Mask, axis: FootAxis): number {
  const { rows } = rowsOf(sole, axis);
  const middleOf = (from: number, to: number) => {
    let sum = 0;
    let count = 0;
    for (let at = Math.round(rows.length * from); at < rows.length * to; at += 1) {
      const row = rows[at]!;
      if (row.count === 0) continue;
      sum += ((row.left + row.right) / 2) * row.count;
      count += row.count;
    }
    return count === 0 ? null : sum / count;
  };
  const heel = middleOf(0.05, 0.25);
  const mid = middleOf(0.36, 0.64);
  const fore = middleOf(0.72, 0.92);
  if (heel === null || mid === null || fore === null) return 0;
  return (mid - (heel + fore) / 2) / (widthOf(rows[extreme(rows, 0.6, 0.95, 1)]!) || 1);
}

/**
 * Arch index, Chippaux–Smirak, Staheli and Clarke's angle of a toeless print about its axis.
 * Definitions: Cavanagh & Rodgers 1987; Chippaux 1947 and Smirak 1960 in Forriol & Pascual 1990; Staheli 1987;
 * Clarke 1933 — from memory. Both widths of an index are square to the axis, so parallel to each other.
 */
export function measurePrint(sole: Mask, axis: FootAxis, side: Side): PrintIndices {
  const { rows, start } = rowsOf(sole, axis);
  const { along, right } = directions(axis);
  const at = (index: number, v: number): Point => ({
    x: axis.heel.x + along.x * (start + index) + right.x * v,
    y: axis.heel.y + along.y * (start + index) + right.y * v,
  });
  const across = (index: number): Segment => [at(index, rows[index]!.left), at(index, rows[index]!.right)];

  const third = rows.length / 3;
  const areas: PrintAreas = { rear: 0, mid: 0, fore: 0 };
  for (const [index, row] of rows.entries()) {
    const place = index + 0.5;
    areas[place < third ? 'rear' : place < 2 * third ? 'mid' : 'fore'] += row.count;
  }

  const fore = extreme(rows, 0.6, 1, 1);
  const heel = extreme(rows, 0, 1 / 3, 1);
  const gap = rows.findIndex(
    (row, index) => index > heel && index < fore && row.count < Math.max(1, rows.length * 0.004),
  );
  const mid = gap >= 0 ? gap : extreme(rows, heel / rows.length, fore / rows.length, -1);
  const widths = {
    fore: widthOf(rows[fore]!),
    mid: gap >= 0 ? 0 : widthOf(rows[mid]!),
    heel: widthOf(rows[heel]!),
  };
  const inner = clarke(rows, heel, fore, side);
  const reach = Math.max(...rows.map((row) => (row.count > 0 ? Math.max(-row.left, row.right) : 0)));
  const square = (index: number): Segment => [at(index, -reach * 1.15), at(index, reach * 1.15)];
  const point = (spot: InnerSpot | null) => (spot ? at(spot.index, spot.v) : null);
  const line = (to: InnerSpot | null): Segment | null => (to ? [point(inner.fore)!, point(to)!] : null);
  return {
    areas,
    archIndex: archIndex(areas),
    chippauxSmirak: (100 * widths.mid) / widths.fore,
    staheli: widths.mid / widths.heel,
    clarkeDeepest: inner.deepest?.angle ?? 0,
    clarkeTangent: inner.tangent?.angle ?? 0,
    lengthToeless: rows.length,
    forefootWidth: widths.fore,
    midfootWidth: widths.mid,
    heelWidth: widths.heel,
    interrupted: gap >= 0,
    construction: {
      axis: [axis.heel, axis.toe],
      thirds: [0, third, 2 * third, rows.length - 1].map(square),
      forefootWidth: across(fore),
      midfootWidth: gap >= 0 ? null : across(mid),
      heelWidth: across(heel),
      innerTangent: [point(inner.heel)!, point(inner.fore)!],
      clarkeDeepest: line(inner.deepest),
      clarkeTangent: line(inner.tangent),
    },
  };
}

interface InnerSpot {
  index: number;
  v: number;
  angle: number;
}

/**
 * Clarke's angle on the inner border. The inner tangent touches heel and forefoot; the second line runs from
 * the forefoot point to the deepest point of the hollow, or touches the hollow's border (the steepest such line).
 */
function clarke(rows: readonly Row[], heelRow: number, foreRow: number, side: Side) {
  const medial = side === 'right' ? -1 : 1;
  const outward = (index: number) => {
    const row = rows[index]!;
    return medial === 1 ? row.right : -row.left;
  };
  const spot = (index: number, angle = 0): InnerSpot => ({ index, v: medial * outward(index), angle });
  // Rotate the tangent until neither the heel nor the forefoot lies beyond it.
  const heelEnd = Math.round(rows.length * 0.4);
  const foreStart = Math.round(rows.length * 0.55);
  let heel = heelRow;
  let fore = foreRow;
  for (let turn = 0; turn < 12; turn += 1) {
    const slope = (outward(fore) - outward(heel)) / (fore - heel);
    const beyond = (index: number) => outward(index) - slope * index;
    const best = (from: number, to: number) => {
      let most = from;
      for (let at = from; at < to; at += 1)
        if (rows[at]!.count > 0 && (rows[most]!.count === 0 || beyond(at) > beyond(most))) most = at;
      return most;
    };
    const nextHeel = best(0, heelEnd);
    const nextFore = best(foreStart, rows.length);
    if (nextHeel === heel && nextFore === fore) break;
    heel = nextHeel;
    fore = nextFore;
  }
  const base = Math.hypot(fore - heel, outward(fore) - outward(heel));
  const ux = (heel - fore) / base;
  const uy = (outward(heel) - outward(fore)) / base;
  let deepest: (InnerSpot & { hollow: number }) | null = null;
  let tangent: InnerSpot | null = null;
  for (let index = heel + 1; index < fore; index += 1) {
    if (rows[index]!.count === 0) continue;
    const dx = index - fore;
    const dy = outward(index) - outward(fore);
    const back = dx * ux + dy * uy;
    const hollow = dy * ux - dx * uy;
    // A pixel of ragged edge beside the forefoot point is no hollow.
    if (hollow < rows.length * 0.006 || back < base * 0.1) continue;
    const angle = (Math.atan2(hollow, back) * 180) / Math.PI;
    if (!deepest || hollow > deepest.hollow) deepest = { ...spot(index, angle), hollow };
    if (!tangent || angle > tangent.angle) tangent = spot(index, angle);
  }
  return { heel: spot(heel), fore: spot(fore), deepest, tangent };
}
