import { polygonHull, polygonLength } from 'd3-polygon';
import type { Side } from '../../picture/finding-kinds';
import { fail, ok, type Result } from '../../result';
import { type Mesh, signedVolume, turnedOver } from './mesh';
import { stood, upDirection, type Vector } from './stand';
import {
  closeLoops,
  components,
  keepTriangles,
  loopLength,
  openLoops,
  roughness,
  smoothed,
} from './topology';

export const SCAN_UNITS = { mm: 1, cm: 10, m: 1000, in: 25.4 } as const;
export type ScanUnit = keyof typeof SCAN_UNITS;

export interface ScanOptions {
  side: Side;
  /** null: told from the size. */
  unit?: ScanUnit | null;
  onProgress?: (stage: string, share: number) => void;
}

export interface ScanNote {
  code:
    | 'unit'
    | 'floor-removed'
    | 'pieces-removed'
    | 'sole-open'
    | 'holes-closed'
    | 'turned-over'
    | 'smoothed'
    | 'wrong-side'
    | 'side-unclear'
    | 'coarse';
  message: string;
}

/** Foot measures, mm. Names follow ISO 7250-1 and ISO 20685-1 where they define one (from memory). */
export interface ScanMeasures {
  footLength: number;
  /** Heel to the first metatarsal head along the axis. */
  heelBallLength: number;
  /** First to fifth metatarsal head, oblique. */
  ballWidth: number;
  /** The same, square to the axis. */
  ballBreadth: number;
  /** Tape around both heads in the upright plane through them. */
  ballGirth: number;
  /** Tape in the upright plane square to the axis at half the foot length. */
  instepGirth: number;
  heelWidth: number;
  /** Highest point of the front tenth of the length. */
  toeHeight: number;
  /** Height at half the foot length. */
  dorsumHeight: number;
}

export interface ScanReading {
  /** x forward from the rearmost heel, y to the left, z up from the floor; mm. */
  mesh: Mesh;
  measures: ScanMeasures;
  side: Side;
  seenSide: Side | null;
  unit: ScanUnit;
  triangles: number;
  notes: ScanNote[];
  /** Lines to draw on the mesh, in its coordinates. */
  lines: Record<keyof Omit<ScanMeasures, 'ballBreadth'>, Vector[]>;
}

const LEAST_TRIANGLES = 800;
const MOST_TRIANGLES = 4_000_000;

/**
 * Finds floor, heel, axis and side of a foot's mesh, closes small holes and measures it.
 * Errors: `empty`, `broken`, `too-coarse`, `too-large`, `unit`, `no-floor`, `not-a-foot`.
 */
export function measureScan(given: Mesh, options: ScanOptions): Result<ScanReading> {
  const report = options.onProgress ?? (() => undefined);
  const count = given.triangles.length / 3;
  if (count === 0) return fail('empty', 'The file holds no surface.');
  if (count < LEAST_TRIANGLES)
    return fail(
      'too-coarse',
      `${count} triangles are too few to measure a foot; ${LEAST_TRIANGLES} are needed.`,
    );
  if (count > MOST_TRIANGLES)
    return fail('too-large', `${count} triangles are more than ${MOST_TRIANGLES}: reduce the mesh first.`);
  for (let at = 0; at < given.positions.length; at += 1)
    if (!Number.isFinite(given.positions[at]!))
      return fail('broken', 'Some points of the mesh have no place: the file is damaged.');

  const notes: ScanNote[] = [];
  report('pieces', 0.1);
  const cleaned = withoutFloorPieces(given, notes);
  const unit = unitOf(cleaned.mesh, options.unit ?? null, notes);
  if (!unit.ok) return unit;
  let mesh = scaled(cleaned.mesh, SCAN_UNITS[unit.value]);

  report('holes', 0.3);
  const loops = openLoops(mesh);
  const reach = farthest(mesh);
  const lengths = loops.map((loop) => loopLength(mesh, loop));
  const small = loops.filter((_, at) => lengths[at]! < SMALL_HOLE_MM);
  if (small.length > 0)
    notes.push({
      code: 'holes-closed',
      message: `${small.length} small ${small.length === 1 ? 'hole was' : 'holes were'} closed.`,
    });
  const sole = loops.find((_, at) => lengths[at]! > reach * 1.6);
  mesh = closeLoops(mesh, small);
  if (roughness(mesh) > ROUGH_MM) {
    mesh = smoothed(mesh, 4);
    notes.push({
      code: 'smoothed',
      message: 'The surface was rough and has been smoothed before measuring.',
    });
  }

  report('floor', 0.5);
  const up = cleaned.floor
    ? towards(mesh, cleaned.floor)
    : sole
      ? towards(mesh, loopNormal(mesh, sole))
      : (upDirection(mesh)?.up ?? null);
  if (!up)
    return fail(
      'no-floor',
      'No flat sole and no floor were found: which way is up cannot be told from this scan.',
    );
  if (!cleaned.floor && sole)
    notes.push({
      code: 'sole-open',
      message:
        'The sole is missing: its rim is taken as the floor, so heights may be low. Measure them by hand.',
    });
  mesh = stood(mesh, up);
  if (!sole) mesh = withoutJoinedFloor(mesh, notes);

  report('axis', 0.65);
  const frame = footFrame(mesh);
  if (!frame.ok) return frame;
  mesh = inFrame(mesh, frame.value);
  if (signedVolume(mesh) < 0) {
    mesh = turnedOver(mesh);
    notes.push({ code: 'turned-over', message: 'The surface was inside out and has been turned over.' });
  }

  report('measures', 0.8);
  const seen = seenSide(mesh, frame.value.length);
  if (seen === null)
    notes.push({
      code: 'side-unclear',
      message: 'Left or right cannot be told from this scan: the side is taken from you.',
    });
  else if (seen !== options.side)
    notes.push({
      code: 'wrong-side',
      message: `This is the shape of a ${seen} foot. Change the side, or mirror the scan where the scanner does.`,
    });
  const measured = measure(mesh, frame.value.length, seen ?? options.side);
  report('done', 1);
  return ok({
    mesh,
    ...measured,
    side: options.side,
    seenSide: seen,
    unit: unit.value,
    triangles: count,
    notes,
  });
}

/** Holes with a rim shorter than this are closed; larger ones are the cut leg or a missing sole. */
const SMALL_HOLE_MM = 130;

/** A scan rougher than this is noise, not skin. */
const ROUGH_MM = 0.15;

const scaled = (mesh: Mesh, factor: number): Mesh =>
  factor === 1
    ? mesh
    : { positions: mesh.positions.map((value) => value * factor), triangles: mesh.triangles };

/** Drops flat pieces (the scanner's floor) and crumbs; keeps the foot. */
function withoutFloorPieces(mesh: Mesh, notes: ScanNote[]): { mesh: Mesh; floor: Vector | null } {
  const { of, sizes } = components(mesh);
  if (sizes.length === 1) return { mesh, floor: null };
  const total = mesh.triangles.length / 3;
  let floor: Vector | null = null;
  let foot = -1;
  let footReach = 0;
  for (const [piece, size] of sizes.entries()) {
    if (size < Math.max(1, total * 0.0005)) continue;
    const plane = flatness(mesh, of, piece);
    if (plane.thickness < plane.reach * 0.012) {
      if (plane.reach > footReach * 0.5) floor = floor ?? plane.normal;
      continue;
    }
    if (size > (foot < 0 ? 0 : sizes[foot]!)) {
      foot = piece;
      footReach = plane.reach;
    }
  }
  if (foot < 0) return { mesh, floor: null };
  if (floor) notes.push({ code: 'floor-removed', message: 'The scanner’s floor was found and taken away.' });
  const crumbs = sizes.filter((size) => size > 0).length - 1 - (floor ? 1 : 0);
  if (crumbs > 0)
    notes.push({
      code: 'pieces-removed',
      message: `${crumbs} loose ${crumbs === 1 ? 'piece' : 'pieces'} beside the foot left out.`,
    });
  return { mesh: keepTriangles(mesh, (a) => of[a] === foot), floor };
}

/** Extents of one piece along its principal directions. */
function flatness(mesh: Mesh, of: Int32Array, piece: number) {
  const mean = [0, 0, 0];
  let count = 0;
  for (let at = 0; at < of.length; at += 1) {
    if (of[at] !== piece) continue;
    count += 1;
    for (let axis = 0; axis < 3; axis += 1) mean[axis]! += mesh.positions[at * 3 + axis]!;
  }
  for (let axis = 0; axis < 3; axis += 1) mean[axis]! /= count;
  const c = [0, 0, 0, 0, 0, 0];
  for (let at = 0; at < of.length; at += 1) {
    if (of[at] !== piece) continue;
    const x = mesh.positions[at * 3]! - mean[0]!;
    const y = mesh.positions[at * 3 + 1]! - mean[1]!;
    const z = mesh.positions[at * 3 + 2]! - mean[2]!;
    c[0]! += x * x;
    c[1]! += x * y;
    c[2]! += x * z;
    c[3]! += y * y;
    c[4]! += y * z;
    c[5]! += z * z;
  }
  const normal = leastDirection(c.map((value) => value / count) as Sixfold);
  let low = Number.POSITIVE_INFINITY;
  let high = Number.NEGATIVE_INFINITY;
  let reach = 0;
  for (let at = 0; at < of.length; at += 1) {
    if (of[at] !== piece) continue;
    const x = mesh.positions[at * 3]! - mean[0]!;
    const y = mesh.positions[at * 3 + 1]! - mean[1]!;
    const z = mesh.positions[at * 3 + 2]! - mean[2]!;
    const along = x * normal[0] + y * normal[1] + z * normal[2];
    low = Math.min(low, along);
    high = Math.max(high, along);
    reach = Math.max(reach, 2 * Math.hypot(x, y, z));
  }
  return { normal, thickness: high - low, reach };
}

type Sixfold = [xx: number, xy: number, xz: number, yy: number, yz: number, zz: number];

/** Direction of least spread of a symmetric 3 × 3 matrix, by Jacobi rotations. */
function leastDirection([xx, xy, xz, yy, yz, zz]: Sixfold): Vector {
  const a = [
    [xx, xy, xz],
    [xy, yy, yz],
    [xz, yz, zz],
  ];
  const v = [
    [1, 0, 0],
    [0, 1, 0],
    [0, 0, 1],
  ];
  for (let sweep = 0; sweep < 30; sweep += 1)
    for (const [p, q] of [
      [0, 1],
      [0, 2],
      [1, 2],
    ] as const) {
      if (Math.abs(a[p]![q]!) < 1e-30) continue;
      const theta = (a[q]![q]! - a[p]![p]!) / (2 * a[p]![q]!);
      const t = Math.sign(theta || 1) / (Math.abs(theta) + Math.sqrt(theta * theta + 1));
      const c = 1 / Math.sqrt(t * t + 1);
      const s = t * c;
      for (let k = 0; k < 3; k += 1) {
        const kp = a[k]![p]!;
        const kq = a[k]![q]!;
        a[k]![p] = c * kp - s * kq;
        a[k]![q] = s * kp + c * kq;
      }
      for (let k = 0; k < 3; k += 1) {
        const pk = a[p]![k]!;
        const qk = a[q]![k]!;
        a[p]![k] = c * pk - s * qk;
        a[q]![k] = s * pk + c * qk;
        const vp = v[k]![p]!;
        const vq = v[k]![q]!;
        v[k]![p] = c * vp - s * vq;
        v[k]![q] = s * vp + c * vq;
      }
    }
  const least = [0, 1, 2].reduce((best, at) => (a[at]![at]! < a[best]![best]! ? at : best), 0);
  return [v[0]![least]!, v[1]![least]!, v[2]![least]!];
}

/** Distance of the two farthest points, nearly: twice to the farthest point. */
function farthest({ positions, triangles }: Mesh): number {
  const far = (from: number) => {
    let most = -1;
    let index = from;
    for (let at = 0; at < triangles.length; at += 1) {
      const vertex = triangles[at]!;
      const d =
        (positions[vertex * 3]! - positions[from * 3]!) ** 2 +
        (positions[vertex * 3 + 1]! - positions[from * 3 + 1]!) ** 2 +
        (positions[vertex * 3 + 2]! - positions[from * 3 + 2]!) ** 2;
      if (d > most) {
        most = d;
        index = vertex;
      }
    }
    return { index, distance: Math.sqrt(most) };
  };
  return far(far(triangles[0]!).index).distance;
}

function unitOf(mesh: Mesh, wanted: ScanUnit | null, notes: ScanNote[]): Result<ScanUnit> {
  const reach = farthest(mesh);
  const fits = (Object.keys(SCAN_UNITS) as ScanUnit[]).filter((unit) => {
    const mm = reach * SCAN_UNITS[unit];
    return mm > 110 && mm < 400;
  });
  if (wanted) {
    if (fits.includes(wanted)) return ok(wanted);
    return fail(
      'unit',
      `In ${wanted} this would be ${Math.round(reach * SCAN_UNITS[wanted])} mm across: no foot is. Choose another unit.`,
    );
  }
  if (fits.length === 0)
    return fail(
      'unit',
      `The mesh is ${Number(reach.toPrecision(3))} units across, which is a foot in none of mm, cm, m and inches.`,
    );
  if (fits.length > 1)
    return fail('unit', `The mesh could be in ${fits.join(' or ')}: choose the unit.`, fits[0]);
  if (fits[0] !== 'mm')
    notes.push({ code: 'unit', message: `The file has no unit; by its size it is in ${fits[0]}.` });
  return ok(fits[0]!);
}

/** Turns a plane's normal so that the foot lies above it. */
function towards(mesh: Mesh, normal: Vector): Vector {
  let low = Number.POSITIVE_INFINITY;
  let high = Number.NEGATIVE_INFINITY;
  let sum = 0;
  for (const vertex of mesh.triangles) {
    const along =
      mesh.positions[vertex * 3]! * normal[0] +
      mesh.positions[vertex * 3 + 1]! * normal[1] +
      mesh.positions[vertex * 3 + 2]! * normal[2];
    low = Math.min(low, along);
    high = Math.max(high, along);
    sum += along;
  }
  // Most of a foot's surface lies low: toes and forefoot are flat, the leg is thin.
  const centred = (sum / mesh.triangles.length - low) / (high - low);
  return centred <= 0.5 ? normal : [-normal[0], -normal[1], -normal[2]];
}

function loopNormal({ positions }: Mesh, loop: readonly number[]): Vector {
  const normal = [0, 0, 0];
  for (const [index, a] of loop.entries()) {
    const b = loop[(index + 1) % loop.length]!;
    const [ax, ay, az] = [positions[a * 3]!, positions[a * 3 + 1]!, positions[a * 3 + 2]!];
    const [bx, by, bz] = [positions[b * 3]!, positions[b * 3 + 1]!, positions[b * 3 + 2]!];
    normal[0]! += ay * bz - az * by;
    normal[1]! += az * bx - ax * bz;
    normal[2]! += ax * by - ay * bx;
  }
  const length = Math.hypot(normal[0]!, normal[1]!, normal[2]!) || 1;
  return [normal[0]! / length, normal[1]! / length, normal[2]! / length];
}

/** A floor that has grown together with the foot: a skin at z = 0 that reaches far beyond it. */
function withoutJoinedFloor(mesh: Mesh, notes: ScanNote[]): Mesh {
  const box = (test: (z: number) => boolean) => {
    let [x0, x1, y0, y1] = [Infinity, -Infinity, Infinity, -Infinity];
    for (const vertex of mesh.triangles) {
      if (!test(mesh.positions[vertex * 3 + 2]!)) continue;
      x0 = Math.min(x0, mesh.positions[vertex * 3]!);
      x1 = Math.max(x1, mesh.positions[vertex * 3]!);
      y0 = Math.min(y0, mesh.positions[vertex * 3 + 1]!);
      y1 = Math.max(y1, mesh.positions[vertex * 3 + 1]!);
    }
    return (x1 - x0) * (y1 - y0);
  };
  if (box((z) => z < 2) < box((z) => z > 6) * 1.5) return mesh;
  notes.push({ code: 'floor-removed', message: 'The scanner’s floor was found and taken away.' });
  const height = (vertex: number) => mesh.positions[vertex * 3 + 2]!;
  return keepTriangles(mesh, (a, b, c) => height(a) > 2 || height(b) > 2 || height(c) > 2);
}

interface Frame {
  x: number;
  y: number;
  /** Unit vector forward. */
  fx: number;
  fy: number;
  length: number;
}

const LOW_MM = 60;

/** Heel middle to ball middle, from the rearmost point; toes away from the leg. */
function footFrame({ positions, triangles }: Mesh): Result<Frame> {
  const low: number[] = [];
  const seen = new Uint8Array(positions.length / 3);
  for (const vertex of triangles) {
    if (seen[vertex] === 1) continue;
    seen[vertex] = 1;
    if (positions[vertex * 3 + 2]! < LOW_MM) low.push(vertex);
  }
  let [sx, sy, sxx, sxy, syy] = [0, 0, 0, 0, 0];
  for (const vertex of low) {
    const x = positions[vertex * 3]!;
    const y = positions[vertex * 3 + 1]!;
    sx += x;
    sy += y;
    sxx += x * x;
    sxy += x * y;
    syy += y * y;
  }
  const n = low.length;
  const [mx, my] = [sx / n, sy / n];
  const angle = 0.5 * Math.atan2(2 * (sxy / n - mx * my), sxx / n - mx * mx - (syy / n - my * my));
  let [fx, fy] = [Math.cos(angle), Math.sin(angle)];
  const span = (ax: number, ay: number, test: (u: number) => boolean = () => true) => {
    let [from, to, left, right] = [Infinity, -Infinity, -Infinity, Infinity];
    for (const vertex of low) {
      const dx = positions[vertex * 3]! - mx;
      const dy = positions[vertex * 3 + 1]! - my;
      const u = dx * ax + dy * ay;
      if (!test(u)) continue;
      const v = -dx * ay + dy * ax;
      from = Math.min(from, u);
      to = Math.max(to, u);
      left = Math.max(left, v);
      right = Math.min(right, v);
    }
    return { from, to, left, right };
  };
  const first = span(fx, fy);
  if (!(first.to - first.from > (first.left - first.right) * 1.5))
    return fail('not-a-foot', 'The shape on the floor is not longer than wide as a foot is.');
  const middle = (first.from + first.to) / 2;
  // The foot is high over the heel and flat at the toes.
  let [rear, front, rearCount, frontCount] = [0, 0, 0, 0];
  for (let at = 0; at < seen.length; at += 1) {
    if (seen[at] === 0) continue;
    const u = (positions[at * 3]! - mx) * fx + (positions[at * 3 + 1]! - my) * fy;
    const z = positions[at * 3 + 2]!;
    if (u < middle) {
      rear += z;
      rearCount += 1;
    } else {
      front += z;
      frontCount += 1;
    }
  }
  if (front / frontCount > rear / rearCount) [fx, fy] = [-fx, -fy];
  for (let turn = 0; turn < 5; turn += 1) {
    const all = span(fx, fy);
    const length = all.to - all.from;
    const part = (from: number, to: number) => {
      const slab = span(fx, fy, (u) => u > all.from + from * length && u < all.from + to * length);
      return { u: all.from + ((from + to) / 2) * length, v: (slab.left + slab.right) / 2 };
    };
    const heel = part(0.13, 0.19);
    const ball = part(0.69, 0.75);
    const turnBy = Math.atan2(ball.v - heel.v, ball.u - heel.u);
    const [c, s] = [Math.cos(turnBy), Math.sin(turnBy)];
    [fx, fy] = [fx * c - fy * s, fx * s + fy * c];
  }
  const all = span(fx, fy);
  const heel = span(
    fx,
    fy,
    (u) => u < all.from + (all.to - all.from) * 0.19 && u > all.from + (all.to - all.from) * 0.13,
  );
  const v = (heel.left + heel.right) / 2;
  return ok({
    x: mx + fx * all.from - fy * v,
    y: my + fy * all.from + fx * v,
    fx,
    fy,
    length: all.to - all.from,
  });
}

function inFrame({ positions, triangles }: Mesh, frame: Frame): Mesh {
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

interface Extreme {
  vertex: number;
  x: number;
  y: number;
  z: number;
}

const BIN_MM = 4;
const BULGE_MM = 18;
const LOW_SIDE_MM = 45;

/**
 * The bulge that reaches farthest to one side between two shares of the length, near the floor. A bulge is
 * flat along the foot and falls off unevenly, so its place is the apex of two half parabolas fitted to the
 * border, not the one vertex that noise has put farthest out.
 */
function widest(mesh: Mesh, length: number, from: number, to: number, sign: 1 | -1): Extreme {
  const { positions } = mesh;
  const start = from * length;
  const bins = Math.max(1, Math.ceil(((to - from) * length) / BIN_MM));
  const reach = new Float64Array(bins).fill(Number.NEGATIVE_INFINITY);
  const place = new Float64Array(bins);
  let best: Extreme = { vertex: -1, x: start, y: 0, z: 0 };
  let far = Number.NEGATIVE_INFINITY;
  for (let at = 0; at < positions.length; at += 3) {
    const bin = Math.floor((positions[at]! - start) / BIN_MM);
    if (bin < 0 || bin >= bins || positions[at + 2]! > LOW_SIDE_MM) continue;
    const out = sign * positions[at + 1]!;
    if (out > reach[bin]!) {
      reach[bin] = out;
      place[bin] = positions[at]!;
    }
    if (out > far) {
      far = out;
      best = { vertex: at / 3, x: positions[at]!, y: positions[at + 1]!, z: positions[at + 2]! };
    }
  }
  const near = place[crestOf(reach)]!;
  const border: Spot[] = [];
  for (let bin = 0; bin < bins; bin += 1)
    if (Number.isFinite(reach[bin]!) && Math.abs(place[bin]! - near) < BULGE_MM)
      border.push({ x: place[bin]!, out: reach[bin]! });
  return { ...best, x: apexOf(border, near) };
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
function seenSide(mesh: Mesh, length: number): Side | null {
  const left = widest(mesh, length, 0.55, 0.82, 1);
  const right = widest(mesh, length, 0.55, 0.82, -1);
  let tip = { x: Number.NEGATIVE_INFINITY, y: 0 };
  for (let at = 0; at < mesh.positions.length; at += 3)
    if (mesh.positions[at]! > tip.x && mesh.positions[at + 2]! < LOW_MM)
      tip = { x: mesh.positions[at]!, y: mesh.positions[at + 1]! };
  const width = left.y - right.y || 1;
  const score = ((left.x - right.x) / length) * 4 + (tip.y - (left.y + right.y) / 2) / width;
  if (Math.abs(score) < 0.06) return null;
  return score > 0 ? 'right' : 'left';
}

function measure(mesh: Mesh, length: number, side: Side) {
  const inner = side === 'right' ? 1 : -1;
  const first = widest(mesh, length, 0.66, 0.8, inner);
  const fifth = widest(mesh, length, 0.55, 0.72, -inner as 1 | -1);
  const ballWidth = Math.hypot(first.x - fifth.x, first.y - fifth.y);
  const normal = { x: (fifth.y - first.y) / ballWidth, y: (first.x - fifth.x) / ballWidth };
  const ball = section(mesh, normal, first.x * normal.x + first.y * normal.y);
  const half = section(mesh, { x: 1, y: 0 }, length / 2);
  const heelIn = widest(mesh, length, 0.12, 0.18, 1);
  const heelOut = widest(mesh, length, 0.12, 0.18, -1);
  let toe: Extreme = { vertex: -1, x: 0, y: 0, z: 0 };
  for (let at = 0; at < mesh.positions.length; at += 3)
    if (mesh.positions[at]! >= 0.9 * length && mesh.positions[at + 2]! > toe.z)
      toe = {
        vertex: at / 3,
        x: mesh.positions[at]!,
        y: mesh.positions[at + 1]!,
        z: mesh.positions[at + 2]!,
      };
  const top = half.hull.reduce((most, point) => (point[1] > most[1] ? point : most), [0, 0] as [
    number,
    number,
  ]);
  const measures: ScanMeasures = {
    footLength: length,
    heelBallLength: first.x,
    ballWidth,
    ballBreadth: Math.abs(first.y - fifth.y),
    ballGirth: ball.girth,
    instepGirth: half.girth,
    heelWidth: heelIn.y - heelOut.y,
    toeHeight: toe.z,
    dorsumHeight: top[1],
  };
  const floor = (x: number, y: number): Vector => [x, y, 0];
  const lines: ScanReading['lines'] = {
    footLength: [floor(0, 0), floor(length, 0)],
    heelBallLength: [floor(0, first.y), floor(first.x, first.y)],
    ballWidth: [
      [first.x, first.y, first.z],
      [fifth.x, fifth.y, fifth.z],
    ],
    ballGirth: ball.ring,
    instepGirth: half.ring,
    heelWidth: [
      [heelIn.x, heelIn.y, heelIn.z],
      [heelOut.x, heelOut.y, heelOut.z],
    ],
    toeHeight: [floor(toe.x, toe.y), [toe.x, toe.y, toe.z]],
    dorsumHeight: [floor(length / 2, half.place(top)[1]), half.place(top)],
  };
  return { measures, lines };
}

/** Where an upright plane cuts the mesh: a tape drawn tight around the points of the cut. */
function section({ positions, triangles }: Mesh, normal: { x: number; y: number }, offset: number) {
  const vertices = positions.length / 3;
  const away = new Float32Array(vertices);
  for (let at = 0; at < vertices; at += 1)
    away[at] = positions[at * 3]! * normal.x + positions[at * 3 + 1]! * normal.y - offset;
  const points: [number, number][] = [];
  const cut = (a: number, b: number) => {
    const t = away[a]! / (away[a]! - away[b]!);
    const at = (axis: number) =>
      positions[a * 3 + axis]! + t * (positions[b * 3 + axis]! - positions[a * 3 + axis]!);
    points.push([at(1) * normal.x - at(0) * normal.y, at(2)]);
  };
  for (let at = 0; at < triangles.length; at += 3) {
    const a = triangles[at]!;
    const b = triangles[at + 1]!;
    const c = triangles[at + 2]!;
    const sa = away[a]! > 0;
    const sb = away[b]! > 0;
    const sc = away[c]! > 0;
    if (sa === sb && sb === sc) continue;
    if (sa !== sb) cut(a, b);
    if (sb !== sc) cut(b, c);
    if (sc !== sa) cut(c, a);
  }
  const hull = polygonHull(points) ?? [];
  const place = ([across, z]: [number, number]): Vector => [
    normal.x * offset - normal.y * across,
    normal.y * offset + normal.x * across,
    z,
  ];
  return {
    hull,
    girth: hull.length > 0 ? polygonLength(hull) : 0,
    ring: [...hull, ...hull.slice(0, 1)].map(place),
    place,
  };
}
