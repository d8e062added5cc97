import { fail, ok, type Result } from '../../result/result';
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

/** Vertices of the foot itself, below the ankle: their places on the floor. */
function lowPlaces({ positions }: Mesh): Places {
  const x = new Float32Array(positions.length / 3);
  const y = new Float32Array(positions.length / 3);
  let count = 0;
  for (let at = 0; at < positions.length; at += 3) {
    if (positions[at + 2]! >= LOW_MM) continue;
    x[count] = positions[at]!;
    y[count] = positions[at + 1]!;
    count += 1;
  }
  return { x, y, count };
}

interface Direction {
  fx: number;
  fy: number;
}

/** How far the places reach along a direction and across it, between two marks along it. */
function span(
  { x, y, count }: Places,
  middle: { x: number; y: number },
  { fx, fy }: Direction,
  after = Number.NEGATIVE_INFINITY,
  before = Number.POSITIVE_INFINITY,
) {
  let [from, to, left, right] = [Infinity, -Infinity, -Infinity, Infinity];
  for (let at = 0; at < count; at += 1) {
    const dx = x[at]! - middle.x;
    const dy = y[at]! - middle.y;
    const u = dx * fx + dy * fy;
    if (u < after || u > before) continue;
    const v = -dx * fy + dy * fx;
    if (u < from) from = u;
    if (u > to) to = u;
    if (v > left) left = v;
    if (v < right) right = v;
  }
  return { from, to, left, right };
}

/** The foot is high over the heel and flat at the toes: whether its front lies against the direction. */
function isBackwards(
  { positions }: Mesh,
  middle: { x: number; y: number },
  { fx, fy }: Direction,
  half: number,
): boolean {
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
  const low = lowPlaces(mesh);
  const { x, y, count } = low;
  let [sx, sy, sxx, sxy, syy] = [0, 0, 0, 0, 0];
  for (let at = 0; at < count; at += 1) {
    sx += x[at]!;
    sy += y[at]!;
    sxx += x[at]! * x[at]!;
    sxy += x[at]! * y[at]!;
    syy += y[at]! * y[at]!;
  }
  const middle = { x: sx / count, y: sy / count };
  const cxx = sxx / count - middle.x ** 2;
  const cyy = syy / count - middle.y ** 2;
  const angle = 0.5 * Math.atan2(2 * (sxy / count - middle.x * middle.y), cxx - cyy);
  let direction: Direction = { fx: Math.cos(angle), fy: Math.sin(angle) };
  const thin = thinned(low, 25_000);
  const first = span(thin, middle, direction);
  if (!(first.to - first.from > (first.left - first.right) * 1.5))
    return fail('not-a-foot', 'The shape on the floor is not longer than wide as a foot is.');
  if (isBackwards(mesh, middle, direction, (first.from + first.to) / 2))
    direction = { fx: -direction.fx, fy: -direction.fy };
  const part = (places: Places, all: { from: number; to: number }, from: number, to: number) => {
    const length = all.to - all.from;
    const slab = span(places, middle, direction, all.from + from * length, all.from + to * length);
    return { u: all.from + ((from + to) / 2) * length, v: (slab.left + slab.right) / 2 };
  };
  for (let turn = 0; turn < 6; turn += 1) {
    const places = turn < 5 ? thin : low;
    const all = span(places, middle, direction);
    const heel = part(places, all, 0.13, 0.19);
    const ball = part(places, all, 0.69, 0.75);
    const turnBy = Math.atan2(ball.v - heel.v, ball.u - heel.u);
    const [c, s] = [Math.cos(turnBy), Math.sin(turnBy)];
    direction = { fx: direction.fx * c - direction.fy * s, fy: direction.fx * s + direction.fy * c };
  }
  const all = span(low, middle, direction);
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
