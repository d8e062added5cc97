import type { Mesh } from './mesh';
import type { ScanNote } from './reading';
import type { Vector } from './stand';
import { components, keepTriangles } from './topology';

/** Drops flat pieces (the scanner's floor) and crumbs; keeps the foot. */
export function withoutFloorPieces(mesh: Mesh, notes: ScanNote[]): { mesh: Mesh; floor: Vector | null } {
  const { of, sizes } = components(mesh);
  if (sizes.length === 1) return { mesh, floor: null };
  const total = mesh.positions.length / 3;
  let floor: Vector | null = null;
  let foot = -1;
  let footReach = 0;
  for (const [piece, size] of sizes.entries()) {
    if (size < Math.max(1, total * 0.0005)) continue;
    const plane = flatness(mesh, of, piece, size);
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

/** About this many vertices of a piece are plenty to see whether it is flat. */
const FLATNESS_SAMPLE = 20_000;

/** Extents of one piece along its principal directions, from a sample of its vertices. */
function flatness({ positions }: Mesh, of: Int32Array, piece: number, size: number) {
  const stride = Math.max(1, Math.floor(size / FLATNESS_SAMPLE));
  const sample: number[] = [];
  for (let at = 0, skip = 0; at < of.length; at += 1) {
    if (of[at] !== piece) continue;
    if (skip === 0) {
      sample.push(at * 3);
      skip = stride;
    }
    skip -= 1;
  }
  let [mx, my, mz] = [0, 0, 0];
  for (const at of sample) {
    mx += positions[at]!;
    my += positions[at + 1]!;
    mz += positions[at + 2]!;
  }
  mx /= sample.length;
  my /= sample.length;
  mz /= sample.length;
  let [xx, xy, xz, yy, yz, zz] = [0, 0, 0, 0, 0, 0];
  for (const at of sample) {
    const x = positions[at]! - mx;
    const y = positions[at + 1]! - my;
    const z = positions[at + 2]! - mz;
    xx += x * x;
    xy += x * y;
    xz += x * z;
    yy += y * y;
    yz += y * z;
    zz += z * z;
  }
  const normal = leastDirection([xx, xy, xz, yy, yz, zz]);
  let low = Number.POSITIVE_INFINITY;
  let high = Number.NEGATIVE_INFINITY;
  let reach = 0;
  for (const at of sample) {
    const x = positions[at]! - mx;
    const y = positions[at + 1]! - my;
    const z = positions[at + 2]! - mz;
    const along = x * normal[0] + y * normal[1] + z * normal[2];
    if (along < low) low = along;
    if (along > high) high = along;
    reach = Math.max(reach, 2 * Math.sqrt(x * x + y * y + z * z));
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

/** Turns a plane's normal so that the foot lies above it. */
export function towards({ positions }: Mesh, normal: Vector): Vector {
  const [nx, ny, nz] = normal;
  let low = Number.POSITIVE_INFINITY;
  let high = Number.NEGATIVE_INFINITY;
  let sum = 0;
  for (let at = 0; at < positions.length; at += 3) {
    const along = positions[at]! * nx + positions[at + 1]! * ny + positions[at + 2]! * nz;
    if (along < low) low = along;
    if (along > high) high = along;
    sum += along;
  }
  // Most of a foot's surface lies low: toes and forefoot are flat, the leg is thin.
  const centred = ((3 * sum) / positions.length - low) / (high - low);
  return centred <= 0.5 ? normal : [-normal[0], -normal[1], -normal[2]];
}

/** Direction square to a loop of vertices. */
export function loopNormal({ positions }: Mesh, loop: readonly number[]): Vector {
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

type Box = [x0: number, x1: number, y0: number, y1: number];

/** A floor that has grown together with the foot: a skin at z = 0 that reaches far beyond it. */
export function withoutJoinedFloor(mesh: Mesh, notes: ScanNote[]): Mesh {
  const { positions } = mesh;
  // Boxes around the skin and around what stands above it: least and greatest x, least and greatest y.
  const skin: Box = [Infinity, -Infinity, Infinity, -Infinity];
  const foot: Box = [Infinity, -Infinity, Infinity, -Infinity];
  for (let at = 0; at < positions.length; at += 3) {
    const z = positions[at + 2]!;
    if (z > 2 && z < 6) continue;
    const box = z > 2 ? foot : skin;
    const x = positions[at]!;
    const y = positions[at + 1]!;
    if (x < box[0]) box[0] = x;
    if (x > box[1]) box[1] = x;
    if (y < box[2]) box[2] = y;
    if (y > box[3]) box[3] = y;
  }
  const area = ([x0, x1, y0, y1]: Box) => (x1 - x0) * (y1 - y0);
  if (area(skin) < area(foot) * 1.5) return mesh;
  notes.push({ code: 'floor-removed', message: 'The scanner’s floor was found and taken away.' });
  const height = (vertex: number) => mesh.positions[vertex * 3 + 2]!;
  return keepTriangles(mesh, (a, b, c) => height(a) > 2 || height(b) > 2 || height(c) > 2);
}
