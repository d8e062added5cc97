/** A surface: x, y, z of each vertex, and three vertex numbers a triangle. */
export interface Mesh {
  positions: Float32Array;
  triangles: Uint32Array;
}

/**
 * Joins corners that lie at the same place (within 1/20 000 of the mesh's extent), so that triangles share
 * vertices, and drops triangles that have collapsed. A triangle soup has no neighbours and no holes to see.
 */
export function weld(corners: Float32Array): Mesh {
  const count = Math.floor(corners.length / 3);
  const low = [Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY];
  let extent = 0;
  const high = low.map((value) => -value);
  for (let at = 0; at < count * 3; at += 3)
    for (let axis = 0; axis < 3; axis += 1) {
      const value = corners[at + axis]!;
      if (value < low[axis]!) low[axis] = value;
      if (value > high[axis]!) high[axis] = value;
    }
  for (let axis = 0; axis < 3; axis += 1) extent = Math.max(extent, high[axis]! - low[axis]!);
  const scale = 20_000 / (extent || 1);
  const [x0, y0, z0] = low as [number, number, number];

  let slots = 1 << 10;
  while (slots < count) slots <<= 1;
  const mask = slots - 1;
  const table = new Int32Array(slots).fill(-1);
  const keyA = new Int32Array(count);
  const keyB = new Int32Array(count);
  const positions = new Float32Array(count * 3);
  const number = new Uint32Array(count);
  let vertices = 0;
  for (let corner = 0; corner < count; corner += 1) {
    const at = corner * 3;
    const x = corners[at]!;
    const y = corners[at + 1]!;
    const z = corners[at + 2]!;
    const ix = ((x - x0) * scale + 0.5) | 0;
    const iy = ((y - y0) * scale + 0.5) | 0;
    const iz = ((z - z0) * scale + 0.5) | 0;
    const a = (ix << 15) | iy;
    let slot = (Math.imul(a, 0x9e3779b1) ^ Math.imul(iz, 0x85ebca6b)) & mask;
    let found = -1;
    while (true) {
      const entry = table[slot]!;
      if (entry < 0) break;
      if (keyA[entry] === a && keyB[entry] === iz) {
        found = entry;
        break;
      }
      slot = (slot + 1) & mask;
    }
    if (found < 0) {
      found = vertices++;
      table[slot] = found;
      keyA[found] = a;
      keyB[found] = iz;
      positions[found * 3] = x;
      positions[found * 3 + 1] = y;
      positions[found * 3 + 2] = z;
    }
    number[corner] = found;
  }
  let kept = 0;
  for (let corner = 0; corner + 2 < count; corner += 3) {
    const a = number[corner]!;
    const b = number[corner + 1]!;
    const c = number[corner + 2]!;
    if (a === b || b === c || c === a) continue;
    number[kept++] = a;
    number[kept++] = b;
    number[kept++] = c;
  }
  return { positions: positions.slice(0, vertices * 3), triangles: number.slice(0, kept) };
}

/** Signed volume enclosed by a closed mesh whose triangles turn outwards; negative when they turn inwards. */
export function signedVolume({ positions, triangles }: Mesh): number {
  let sum = 0;
  const ox = positions[0]!;
  const oy = positions[1]!;
  const oz = positions[2]!;
  for (let at = 0; at < triangles.length; at += 3) {
    const a = triangles[at]! * 3;
    const b = triangles[at + 1]! * 3;
    const c = triangles[at + 2]! * 3;
    const ax = positions[a]! - ox;
    const ay = positions[a + 1]! - oy;
    const az = positions[a + 2]! - oz;
    const bx = positions[b]! - ox;
    const by = positions[b + 1]! - oy;
    const bz = positions[b + 2]! - oz;
    const cx = positions[c]! - ox;
    const cy = positions[c + 1]! - oy;
    const cz = positions[c + 2]! - oz;
    sum += ax * (by * cz - bz * cy) + ay * (bz * cx - bx * cz) + az * (bx * cy - by * cx);
  }
  return sum / 6;
}

/** The same surface with every triangle turned over. */
export function turnedOver({ positions, triangles }: Mesh): Mesh {
  const turned = new Uint32Array(triangles.length);
  for (let at = 0; at < triangles.length; at += 3) {
    turned[at] = triangles[at]!;
    turned[at + 1] = triangles[at + 2]!;
    turned[at + 2] = triangles[at + 1]!;
  }
  return { positions, triangles: turned };
}

/**
 * Normal of one face, twice its area long, written into `normal`: a mesh has too many faces for an array each.
 * Corners are places in `positions`.
 */
export function faceNormal(
  positions: Float32Array,
  a: number,
  b: number,
  c: number,
  normal: Float64Array,
): void {
  const ux = positions[b]! - positions[a]!;
  const uy = positions[b + 1]! - positions[a + 1]!;
  const uz = positions[b + 2]! - positions[a + 2]!;
  const vx = positions[c]! - positions[a]!;
  const vy = positions[c + 1]! - positions[a + 1]!;
  const vz = positions[c + 2]! - positions[a + 2]!;
  normal[0] = uy * vz - uz * vy;
  normal[1] = uz * vx - ux * vz;
  normal[2] = ux * vy - uy * vx;
}

/** Unit normals of the vertices, each the mean of its triangles’ weighted by their area: x, y, z a vertex. */
export function vertexNormals({ positions, triangles }: Mesh): Float32Array {
  const normals = new Float32Array(positions.length);
  const face = new Float64Array(3);
  for (let at = 0; at < triangles.length; at += 3) {
    const a = triangles[at]! * 3;
    const b = triangles[at + 1]! * 3;
    const c = triangles[at + 2]! * 3;
    faceNormal(positions, a, b, c, face);
    for (const vertex of [a, b, c]) {
      normals[vertex]! += face[0]!;
      normals[vertex + 1]! += face[1]!;
      normals[vertex + 2]! += face[2]!;
    }
  }
  for (let at = 0; at < normals.length; at += 3) {
    const length = Math.hypot(normals[at]!, normals[at + 1]!, normals[at + 2]!) || 1;
    normals[at]! /= length;
    normals[at + 1]! /= length;
    normals[at + 2]! /= length;
  }
  return normals;
}
