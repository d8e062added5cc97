import type { Mesh } from './mesh';

export type Vector = readonly [number, number, number];

const dot = (a: Vector, b: Vector) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const cross = (a: Vector, b: Vector): Vector => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
const unit = (a: Vector): Vector => {
  const length = Math.hypot(...a) || 1;
  return [a[0] / length, a[1] / length, a[2] / length];
};

/**
 * The direction away from the floor: the sole is the largest flat part of a foot. Area-weighted normals are
 * gathered without their sign, the densest direction refined, and of its two ends the one taken on whose side
 * the foot rises from its flat part.
 *
 * @returns unit vector up, or null when no part is flat enough
 */
export function upDirection(mesh: Mesh): { up: Vector; flatShare: number } | null {
  const { normals, areas, centres, total } = sampleNormals(mesh);
  const candidates = sphere();
  const within = (direction: Vector, cosine: number) => {
    let area = 0;
    let sum: Vector = [0, 0, 0];
    for (const [at, normal] of normals.entries()) {
      const along = dot(normal, direction);
      if (Math.abs(along) < cosine) continue;
      const sign = Math.sign(along) * areas[at]!;
      area += areas[at]!;
      sum = [sum[0] + normal[0] * sign, sum[1] + normal[1] * sign, sum[2] + normal[2] * sign];
    }
    return { area, mean: unit(sum) };
  };
  const best: { direction: Vector; area: number }[] = candidates
    .map((direction) => ({ direction, area: within(direction, 0.97).area }))
    .sort((a, b) => b.area - a.area)
    .slice(0, 4);
  let chosen: { up: Vector; flat: number } | null = null;
  for (const start of best) {
    let direction = start.direction;
    for (const cosine of [0.97, 0.985, 0.995, 0.998]) direction = within(direction, cosine).mean;
    // The sole is flat *and* at one end: count area near each end of the foot along this direction.
    const heights = centres.map((centre) => dot(centre, direction));
    const low = heights.reduce((least, value) => Math.min(least, value), Number.POSITIVE_INFINITY);
    const high = heights.reduce((most, value) => Math.max(most, value), Number.NEGATIVE_INFINITY);
    const skin = (high - low) * 0.04;
    let under = 0;
    let over = 0;
    for (const [at, normal] of normals.entries()) {
      if (Math.abs(dot(normal, direction)) < 0.985) continue;
      if (heights[at]! < low + skin) under += areas[at]!;
      else if (heights[at]! > high - skin) over += areas[at]!;
    }
    const flat = Math.max(under, over);
    const up: Vector = under >= over ? direction : [-direction[0], -direction[1], -direction[2]];
    if (!chosen || flat > chosen.flat) chosen = { up, flat };
  }
  if (!chosen || chosen.flat < total * 0.05) return null;
  return { up: chosen.up, flatShare: chosen.flat / total };
}

/** About 20 000 triangles are plenty to see which way is up. */
function sampleNormals({ positions, triangles }: Mesh) {
  const stride = Math.max(1, Math.floor(triangles.length / 3 / 20_000)) * 3;
  const normals: Vector[] = [];
  const areas: number[] = [];
  const centres: Vector[] = [];
  let total = 0;
  const corner = (at: number): Vector => {
    const vertex = triangles[at]! * 3;
    return [positions[vertex]!, positions[vertex + 1]!, positions[vertex + 2]!];
  };
  for (let at = 0; at + 2 < triangles.length; at += stride) {
    const [a, b, c] = [corner(at), corner(at + 1), corner(at + 2)];
    const normal = cross([b[0] - a[0], b[1] - a[1], b[2] - a[2]], [c[0] - a[0], c[1] - a[1], c[2] - a[2]]);
    const area = Math.hypot(...normal) / 2;
    if (area === 0) continue;
    normals.push(unit(normal));
    areas.push(area);
    centres.push([(a[0] + b[0] + c[0]) / 3, (a[1] + b[1] + c[1]) / 3, (a[2] + b[2] + c[2]) / 3]);
    total += area;
  }
  return { normals, areas, centres, total };
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
export function stood(mesh: Mesh, up: Vector): Mesh {
  const helper: Vector = Math.abs(up[0]) < 0.8 ? [1, 0, 0] : [0, 1, 0];
  const x = unit(cross(helper, up));
  const y = cross(up, x);
  const positions = new Float32Array(mesh.positions.length);
  let floor = Number.POSITIVE_INFINITY;
  for (let at = 0; at < positions.length; at += 3) {
    const px = mesh.positions[at]!;
    const py = mesh.positions[at + 1]!;
    const pz = mesh.positions[at + 2]!;
    positions[at] = px * x[0] + py * x[1] + pz * x[2];
    positions[at + 1] = px * y[0] + py * y[1] + pz * y[2];
    positions[at + 2] = px * up[0] + py * up[1] + pz * up[2];
    if (positions[at + 2]! < floor) floor = positions[at + 2]!;
  }
  for (let at = 2; at < positions.length; at += 3) positions[at]! -= floor;
  return { positions, triangles: mesh.triangles };
}
