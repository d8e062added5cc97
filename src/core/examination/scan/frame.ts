import { fail, ok, type Result } from '../../result/result';
import { mainAxis } from '../../statistics/main-axis';
import type { Mesh } from './mesh';

/** Where a foot stands on its floor and which way it points. */
export interface Frame {
  x: number;
  y: number;
  /** Unit vector forward. */
  fx: number;
  fy: number;
  length: number;
}

/** What lies lower is foot and not leg, mm. */
export const LOW_MM = 60;

interface Places {
  x: Float32Array;
  y: Float32Array;
  count: number;
}

/** Every n-th place: enough to turn the axis, not to end it. */
function thinned({ x, y, count }: Places, most: number): Places {
  const stride = Math.max(1, Math.floor(count / most));
  if (stride === 1) return { x, y, count };
  const thin = { x: new Float32Array(most * 2), y: new Float32Array(most * 2), count: 0 };
  for (let at = 0; at < count; at += stride) {
    thin.x[thin.count] = x[at]!;
    thin.y[thin.count] = y[at]!;
    thin.count += 1;
  }
  return thin;
}

/** Vertices of the foot itself, below the ankle: their places on the floor, the middle of these, and the direction of most spread. */
function lowPlaces({ positions }: Mesh): { low: Places; middle: Place; direction: Direction } {
  const x = new Float32Array(positions.length / 3);
  const y = new Float32Array(positions.length / 3);
  let count = 0;
  let [sx, sy, sxx, sxy, syy] = [0, 0, 0, 0, 0];
  for (let at = 0; at < positions.length; at += 3) {
    if (positions[at + 2]! >= LOW_MM) continue;
    const px = positions[at]!;
    const py = positions[at + 1]!;
    x[count] = px;
    y[count] = py;
    count += 1;
    sx += px;
    sy += py;
    sxx += px * px;
    sxy += px * py;
    syy += py * py;
  }
  const { middle, along } = mainAxis({ count, x: sx, y: sy, xx: sxx, xy: sxy, yy: syy });
  return { low: { x, y, count }, middle, direction: { fx: along.x, fy: along.y } };
}

interface Direction {
  fx: number;
  fy: number;
}

interface Place {
  x: number;
  y: number;
}

/** Where a foot lies along its axis, from its rearmost place to its foremost. */
interface Reach {
  from: number;
  to: number;
}

/** How far the places reach along a direction. */
function reachAlong({ x, y, count }: Places, middle: Place, { fx, fy }: Direction): Reach {
  const { x: mx, y: my } = middle;
  let from = Number.POSITIVE_INFINITY;
  let to = Number.NEGATIVE_INFINITY;
  for (let at = 0; at < count; at += 1) {
    const u = (x[at]! - mx) * fx + (y[at]! - my) * fy;
    if (u < from) from = u;
    if (u > to) to = u;
  }
  return { from, to };
}

/** How far the places reach across a direction, between two marks along it. */
function reachAcross({ x, y, count }: Places, middle: Place, { fx, fy }: Direction, { from, to }: Reach) {
  const { x: mx, y: my } = middle;
  let left = Number.NEGATIVE_INFINITY;
  let right = Number.POSITIVE_INFINITY;
  for (let at = 0; at < count; at += 1) {
    const dx = x[at]! - mx;
    const dy = y[at]! - my;
    const u = dx * fx + dy * fy;
    if (u < from || u > to) continue;
    const v = -dx * fy + dy * fx;
    if (v > left) left = v;
    if (v < right) right = v;
  }
  return { left, right };
}

/** The foot is high over the heel and flat at the toes: whether its front lies against the direction. */
function isBackwards({ positions }: Mesh, middle: Place, { fx, fy }: Direction, half: number): boolean {
  let [rear, front, rearCount, frontCount] = [0, 0, 0, 0];
  for (let at = 0; at < positions.length; at += 3) {
    const u = (positions[at]! - middle.x) * fx + (positions[at + 1]! - middle.y) * fy;
    if (u < half) {
      rear += positions[at + 2]!;
      rearCount += 1;
    } else {
      front += positions[at + 2]!;
      frontCount += 1;
    }
  }
  return front / frontCount > rear / rearCount;
}

/** Heel middle to ball middle, from the rearmost point; toes away from the leg. */
export function footFrame(mesh: Mesh): Result<Frame> {
  const spread = lowPlaces(mesh);
  const { low, middle } = spread;
  let { direction } = spread;
  const thin = thinned(low, 25_000);
  const first = reachAlong(thin, middle, direction);
  const { left, right } = reachAcross(thin, middle, direction, first);
  if (!(first.to - first.from > (left - right) * 1.5))
    return fail('not-a-foot', 'The shape on the floor is not longer than wide as a foot is.');
  if (isBackwards(mesh, middle, direction, (first.from + first.to) / 2))
    direction = { fx: -direction.fx, fy: -direction.fy };
  const part = (places: Places, all: Reach, from: number, to: number) => {
    const length = all.to - all.from;
    const slab = reachAcross(places, middle, direction, {
      from: all.from + from * length,
      to: all.from + to * length,
    });
    return { u: all.from + ((from + to) / 2) * length, v: (slab.left + slab.right) / 2 };
  };
  for (let turn = 0; turn < 6; turn += 1) {
    const places = turn < 5 ? thin : low;
    const all = reachAlong(places, middle, direction);
    const heel = part(places, all, 0.13, 0.19);
    const ball = part(places, all, 0.69, 0.75);
    const turnBy = Math.atan2(ball.v - heel.v, ball.u - heel.u);
    const [c, s] = [Math.cos(turnBy), Math.sin(turnBy)];
    direction = { fx: direction.fx * c - direction.fy * s, fy: direction.fx * s + direction.fy * c };
  }
  const all = reachAlong(low, middle, direction);
  const { v } = part(low, all, 0.13, 0.19);
  const { fx, fy } = direction;
  return ok({
    x: middle.x + fx * all.from - fy * v,
    y: middle.y + fy * all.from + fx * v,
    fx,
    fy,
    length: all.to - all.from,
  });
}

/** The mesh with x forward from the rearmost heel and y to the left. */
export function inFrame({ positions, triangles }: Mesh, frame: Frame): Mesh {
  const out = new Float32Array(positions.length);
  for (let at = 0; at < positions.length; at += 3) {
    const dx = positions[at]! - frame.x;
    const dy = positions[at + 1]! - frame.y;
    out[at] = dx * frame.fx + dy * frame.fy;
    out[at + 1] = -dx * frame.fy + dy * frame.fx;
    out[at + 2] = positions[at + 2]!;
  }
  return { positions: out, triangles };
}
