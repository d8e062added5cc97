import { faceNormal, type Mesh } from './mesh';

/** Triangles that a picture of a few hundred pixels needs at most: more are smaller than a pixel, and hold a page that draws by software. */
export const DRAWN_TRIANGLES = 40_000;

/** Area of all triangles, in the square of the mesh's unit. */
function areaOf({ positions, triangles }: Mesh): number {
  const normal = new Float64Array(3);
  let area = 0;
  for (let at = 0; at < triangles.length; at += 3) {
    faceNormal(positions, triangles[at]! * 3, triangles[at + 1]! * 3, triangles[at + 2]! * 3, normal);
    area += Math.hypot(normal[0]!, normal[1]!, normal[2]!) / 2;
  }
  return area;
}

/**
 * The same surface in fewer triangles, to be drawn and not to be measured: corners that share a cell of a grid become one, in their middle,
 * and triangles that collapse go. Corners keep their shading, the mean of those that were joined.
 *
 * @param normals unit normals of the corners
 * @param most about as many triangles are left; a mesh that has no more stays as it is
 */
export function lightMesh(
  mesh: Mesh,
  normals: Float32Array,
  most = DRAWN_TRIANGLES,
): { mesh: Mesh; normals: Float32Array } {
  const { positions, triangles } = mesh;
  if (triangles.length / 3 <= most) return { mesh, normals };
  // A surface has about two triangles to a corner, and a corner to a cell.
  const cell = Math.sqrt((2 * areaOf(mesh)) / most);
  const count = positions.length / 3;
  const joined = new Uint32Array(count);
  const cells = new Map<number, number>();
  const low = [Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY];
  for (let at = 0; at < positions.length; at += 1) low[at % 3] = Math.min(low[at % 3]!, positions[at]!);
  const along = (at: number, axis: number) => Math.floor((positions[3 * at + axis]! - low[axis]!) / cell);
  for (let at = 0; at < count; at += 1) {
    // A grid of some hundred cells a side: three of them fit into one whole number.
    const key = (along(at, 0) * 65_536 + along(at, 1)) * 65_536 + along(at, 2);
    const known = cells.get(key);
    joined[at] = known ?? cells.size;
    if (known === undefined) cells.set(key, cells.size);
  }
  const sums = new Float64Array(cells.size * 3);
  const turned = new Float64Array(cells.size * 3);
  const many = new Uint32Array(cells.size);
  for (let at = 0; at < count; at += 1) {
    const to = joined[at]!;
    many[to]! += 1;
    for (let axis = 0; axis < 3; axis += 1) {
      sums[3 * to + axis]! += positions[3 * at + axis]!;
      turned[3 * to + axis]! += normals[3 * at + axis]!;
    }
  }
  const kept = new Uint32Array(triangles.length);
  let end = 0;
  for (let at = 0; at < triangles.length; at += 3) {
    const [a, b, c] = [joined[triangles[at]!]!, joined[triangles[at + 1]!]!, joined[triangles[at + 2]!]!];
    if (a === b || b === c || c === a) continue;
    kept[end] = a;
    kept[end + 1] = b;
    kept[end + 2] = c;
    end += 3;
  }
  const shading = Float32Array.from(turned);
  for (let at = 0; at < shading.length; at += 3) {
    const length = Math.hypot(turned[at]!, turned[at + 1]!, turned[at + 2]!) || 1;
    for (let axis = 0; axis < 3; axis += 1) shading[at + axis] = turned[at + axis]! / length;
  }
  return {
    mesh: {
      positions: Float32Array.from(sums, (sum, at) => sum / many[Math.floor(at / 3)]!),
      triangles: kept.slice(0, end),
    },
    normals: shading,
  };
}
