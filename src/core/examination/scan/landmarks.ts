import type { Side } from '../../findings/finding-kinds';
import { LOW_MM } from './frame';
import type { Mesh } from './mesh';

/** One spot of the surface. */
export interface Extreme {
  x: number;
  y: number;
  z: number;
}

/** The part of a surface in which the foot bulges to its sides: low vertices of its heel and its ball, x, y, z each. */
export interface Rim {
  positions: Float32Array;
}

const LOW_SIDE_MM = 45;

/** Shares of the length between which bulges are looked for. */
export const HEEL = { from: 0.12, to: 0.18 };
const BALL = { from: 0.55, to: 0.82 };

export function rimOf({ positions }: Mesh, length: number): Rim {
  const rim = new Float32Array(positions.length);
  // The last bin of a part may end beyond it.
  const [heelFrom, heelTo] = [HEEL.from * length, HEEL.to * length + BIN_MM];
  const [ballFrom, ballTo] = [BALL.from * length, BALL.to * length + BIN_MM];
  let count = 0;
  for (let at = 0; at < positions.length; at += 3) {
    const x = positions[at]!;
    if (x < heelFrom || x > ballTo || (x > heelTo && x < ballFrom)) continue;
    if (positions[at + 2]! > LOW_SIDE_MM) continue;
    rim[count] = x;
    rim[count + 1] = positions[at + 1]!;
    rim[count + 2] = positions[at + 2]!;
    count += 3;
  }
  return { positions: rim.subarray(0, count) };
}

const BIN_MM = 4;
const BULGE_MM = 18;
/**
 * The bulge that reaches farthest to one side between two shares of the length, near the floor. A bulge is
 * flat along the foot and falls off unevenly, so its place is the apex of two half parabolas fitted to the
 * border, not the one vertex that noise has put farthest out.
 */
export function widest(rim: Rim, length: number, from: number, to: number, sign: 1 | -1): Extreme {
  const { positions } = rim;
  const start = from * length;
  const bins = Math.max(1, Math.ceil(((to - from) * length) / BIN_MM));
  const reach = new Float64Array(bins).fill(Number.NEGATIVE_INFINITY);
  const place = new Float64Array(bins);
  let best = -1;
  let far = Number.NEGATIVE_INFINITY;
  for (let at = 0; at < positions.length; at += 3) {
    const along = positions[at]! - start;
    if (along < 0 || along >= bins * BIN_MM) continue;
    const bin = Math.floor(along / BIN_MM);
    const out = sign * positions[at + 1]!;
    if (out > reach[bin]!) {
      reach[bin] = out;
      place[bin] = positions[at]!;
    }
    if (out > far) {
      far = out;
      best = at;
    }
  }
  if (best < 0) return { x: start, y: 0, z: 0 };
  const near = place[crestOf(reach)]!;
  const border: Spot[] = [];
  for (let bin = 0; bin < bins; bin += 1)
    if (Number.isFinite(reach[bin]!) && Math.abs(place[bin]! - near) < BULGE_MM)
      border.push({ x: place[bin]!, out: reach[bin]! });
  return { x: apexOf(border, near), y: positions[best + 1]!, z: positions[best + 2]! };
}

/** The bin about which three neighbours reach farthest on average. */
function crestOf(reach: Float64Array): number {
  const about = (bin: number) => {
    const three = reach.subarray(Math.max(0, bin - 1), bin + 2).filter(Number.isFinite);
    return three.reduce((sum, value) => sum + value, 0) / (three.length || 1);
  };
  let crest = 0;
  for (let bin = 1; bin < reach.length; bin += 1)
    if (Number.isFinite(reach[bin]!) && about(bin) > about(crest)) crest = bin;
  return crest;
}

interface Spot {
  x: number;
  out: number;
}

/** Place of the top of a border that falls off as c − a·d² to the rear and c − b·d² to the front. */
function apexOf(border: readonly Spot[], near: number): number {
  let apex = near;
  let least = Number.POSITIVE_INFINITY;
  for (let x = near - 8; x <= near + 8; x += 0.1) {
    const rest = residual(border, x);
    if (rest !== null && rest < least) {
      least = rest;
      apex = x;
    }
  }
  return apex;
}

/** Squared error of the best two half parabolas about a place; null where one of them would open outwards. */
function residual(border: readonly Spot[], x: number): number | null {
  // The basis functions of both sides do not overlap, so the 3 × 3 system falls into two small ones.
  let [n, s, rear2, rear4, rearS, front2, front4, frontS, ss] = [0, 0, 0, 0, 0, 0, 0, 0, 0];
  for (const spot of border) {
    const d2 = (spot.x - x) ** 2;
    n += 1;
    s += spot.out;
    ss += spot.out ** 2;
    if (spot.x < x) {
      rear2 += d2;
      rear4 += d2 * d2;
      rearS += d2 * spot.out;
    } else {
      front2 += d2;
      front4 += d2 * d2;
      frontS += d2 * spot.out;
    }
  }
  if (n < 4 || rear4 === 0 || front4 === 0) return null;
  const c =
    (s - (rear2 * rearS) / rear4 - (front2 * frontS) / front4) /
    (n - rear2 ** 2 / rear4 - front2 ** 2 / front4);
  const a = (c * rear2 - rearS) / rear4;
  const b = (c * front2 - frontS) / front4;
  if (a < 0 || b < 0) return null;
  return ss - c * s + a * rearS + b * frontS;
}

/** The inner ball lies further forward than the outer one, and the longest toe is an inner one. */
export function seenSide(mesh: Mesh, rim: Rim, length: number): Side | null {
  const left = widest(rim, length, BALL.from, BALL.to, 1);
  const right = widest(rim, length, BALL.from, BALL.to, -1);
  let tip = { x: Number.NEGATIVE_INFINITY, y: 0 };
  for (let at = 0; at < mesh.positions.length; at += 3)
    if (mesh.positions[at]! > tip.x && mesh.positions[at + 2]! < LOW_MM)
      tip = { x: mesh.positions[at]!, y: mesh.positions[at + 1]! };
  const width = left.y - right.y || 1;
  const score = ((left.x - right.x) / length) * 4 + (tip.y - (left.y + right.y) / 2) / width;
  if (Math.abs(score) < 0.06) return null;
  return score > 0 ? 'right' : 'left';
}
