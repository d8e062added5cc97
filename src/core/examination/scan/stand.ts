import { faceNormal, type Mesh } from './mesh';

export type Vector = readonly [number, number, number];

const cross = (a: Vector, b: Vector): Vector => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
const unit = (a: Vector): Vector => {
  const length = Math.hypot(...a) || 1;
  return [a[0] / length, a[1] / length, a[2] / length];
};

/** Faces of a mesh, a sample of them: unit normal, area and middle. */
interface Faces {
  count: number;
  normal: Float32Array;
  middle: Float32Array;
  area: Float32Array;
  total: number;
}

/** About this many faces are plenty to see which way is up; a few thousand to choose where to look. */
const FACES = 20_000;
const FIRST_LOOK = 4_000;

function sampleFaces({ positions, triangles }: Mesh): Faces {
  const stride = Math.max(1, Math.floor(triangles.length / 3 / FACES)) * 3;
  const most = Math.ceil(triangles.length / stride);
  const normal = new Float32Array(most * 3);
  const middle = new Float32Array(most * 3);
  const area = new Float32Array(most);
  const face = new Float64Array(3);
  let total = 0;
  let count = 0;
  for (let at = 0; at + 2 < triangles.length; at += stride) {
    const a = triangles[at]! * 3;
    const b = triangles[at + 1]! * 3;
    const c = triangles[at + 2]! * 3;
    faceNormal(positions, a, b, c, face);
    const [nx, ny, nz] = [face[0]!, face[1]!, face[2]!];
    const double = Math.sqrt(nx * nx + ny * ny + nz * nz);
    if (double === 0) continue;
    normal[count * 3] = nx / double;
    normal[count * 3 + 1] = ny / double;
    normal[count * 3 + 2] = nz / double;
    for (let axis = 0; axis < 3; axis += 1)
      middle[count * 3 + axis] = (positions[a + axis]! + positions[b + axis]! + positions[c + axis]!) / 3;
    area[count] = double / 2;
    total += double / 2;
    count += 1;
  }
  return { count, normal, middle, area, total };
}

/** Area of the faces whose normal lies along a direction, either way, and their mean normal turned its way. */
function facing({ count, normal, area }: Faces, direction: Vector, cosine: number, step = 1) {
  const [dx, dy, dz] = direction;
  let [sum, x, y, z] = [0, 0, 0, 0];
  for (let at = 0; at < count; at += step) {
    const nx = normal[at * 3]!;
    const ny = normal[at * 3 + 1]!;
    const nz = normal[at * 3 + 2]!;
    const along = nx * dx + ny * dy + nz * dz;
    if (Math.abs(along) < cosine) continue;
    const weight = along > 0 ? area[at]! : -area[at]!;
    sum += area[at]!;
    x += nx * weight;
    y += ny * weight;
    z += nz * weight;
  }
  return { area: sum, mean: unit([x, y, z]) };
}

/** Area of flat faces at the lower and at the upper end of the foot along a direction. */
function flatEnds({ count, normal, middle, area }: Faces, [dx, dy, dz]: Vector) {
  const heights = new Float32Array(count);
  let low = Number.POSITIVE_INFINITY;
  let high = Number.NEGATIVE_INFINITY;
  for (let at = 0; at < count; at += 1) {
    const height = middle[at * 3]! * dx + middle[at * 3 + 1]! * dy + middle[at * 3 + 2]! * dz;
    heights[at] = height;
    if (height < low) low = height;
    if (height > high) high = height;
  }
  const skin = (high - low) * 0.04;
  let under = 0;
  let over = 0;
  for (let at = 0; at < count; at += 1) {
    const along = normal[at * 3]! * dx + normal[at * 3 + 1]! * dy + normal[at * 3 + 2]! * dz;
    if (Math.abs(along) < 0.985) continue;
    if (heights[at]! < low + skin) under += area[at]!;
    else if (heights[at]! > high - skin) over += area[at]!;
  }
  return { under, over };
}

/**
 * The direction away from the floor: the sole is the largest flat part of a foot. Area-weighted normals are
 * gathered without their sign, the densest directions refined, and of the two ends of each the one taken where
 * the flat part lies at the end of the foot.
 *
 * @returns unit vector up, or null when no part is flat enough
 */
export function upDirection(mesh: Mesh): { up: Vector; flatShare: number } | null {
  const faces = sampleFaces(mesh);
  const step = Math.max(1, Math.floor(faces.count / FIRST_LOOK));
  const starts = sphere()
    .map((direction) => ({ direction, area: facing(faces, direction, 0.97, step).area }))
    .sort((a, b) => b.area - a.area)
    .slice(0, 4);
  let chosen: { up: Vector; flat: number } | null = null;
  for (const start of starts) {
    let { direction } = start;
    for (const cosine of [0.97, 0.985, 0.995, 0.998]) direction = facing(faces, direction, cosine).mean;
    const { under, over } = flatEnds(faces, direction);
    const flat = Math.max(under, over);
    const up: Vector = under >= over ? direction : [-direction[0], -direction[1], -direction[2]];
    if (!chosen || flat > chosen.flat) chosen = { up, flat };
  }
  if (!chosen || chosen.flat < faces.total * 0.05) return null;
  return { up: chosen.up, flatShare: chosen.flat / faces.total };
}

/** Directions spread evenly over half a sphere (golden-angle spiral). */
function sphere(): Vector[] {
  const count = 160;
  return Array.from({ length: count }, (_, at) => {
    const z = (at + 0.5) / count;
    const ring = Math.sqrt(1 - z * z);
    const turn = at * Math.PI * (3 - Math.sqrt(5));
    return [ring * Math.cos(turn), ring * Math.sin(turn), z] as const;
  });
}

/** The mesh turned so that `up` is z and it stands on z = 0. x and y are any two level directions. */
export function standUpright(mesh: Mesh, up: Vector): Mesh {
  const helper: Vector = Math.abs(up[0]) < 0.8 ? [1, 0, 0] : [0, 1, 0];
  const x = unit(cross(helper, up));
  const [xx, xy, xz] = x;
  const [yx, yy, yz] = cross(up, x);
  const [zx, zy, zz] = up;
  const from = mesh.positions;
  const positions = new Float32Array(from.length);
  let floor = Number.POSITIVE_INFINITY;
  for (let at = 0; at < positions.length; at += 3) {
    const px = from[at]!;
    const py = from[at + 1]!;
    const pz = from[at + 2]!;
    positions[at] = px * xx + py * xy + pz * xz;
    positions[at + 1] = px * yx + py * yy + pz * yz;
    const height = Math.fround(px * zx + py * zy + pz * zz);
    positions[at + 2] = height;
    if (height < floor) floor = height;
  }
  for (let at = 2; at < positions.length; at += 3) positions[at]! -= floor;
  return { positions, triangles: mesh.triangles };
}
