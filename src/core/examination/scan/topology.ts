import type { Mesh } from './mesh';

/** Connected pieces of a mesh: the piece of each vertex, and the number of vertices of each piece. */
export function components({ positions, triangles }: Mesh): { of: Int32Array; sizes: number[] } {
  const vertices = positions.length / 3;
  const parent = new Int32Array(vertices);
  for (let at = 0; at < vertices; at += 1) parent[at] = at;
  const root = (from: number) => {
    let at = from;
    while (parent[at] !== at) {
      const next = parent[parent[at]!]!;
      parent[at] = next;
      at = next;
    }
    return at;
  };
  let pieces = vertices;
  const join = (one: number, other: number) => {
    const top = root(one);
    // Most vertices are met for the first time: their own root.
    const under = parent[other] === other ? other : root(other);
    if (top === under) return;
    parent[under] = top;
    pieces -= 1;
  };
  for (let at = 0; at < triangles.length; at += 3) {
    const a = triangles[at]!;
    const b = triangles[at + 1]!;
    const c = triangles[at + 2]!;
    // Neighbours mostly stand under the same vertex already.
    const top = parent[a]!;
    if (parent[b] !== top) join(a, b);
    if (parent[c] !== top) join(a, c);
  }
  if (pieces === 1) return { of: new Int32Array(vertices), sizes: [vertices] };
  // A root is named when it is first met, by one more than its piece, and hands its name on to those it leads.
  const of = new Int32Array(vertices);
  const name = new Int32Array(vertices);
  const sizes: number[] = [];
  let top = -1;
  let piece = -1;
  let size = 0;
  for (let at = 0; at < vertices; at += 1) {
    const above = parent[at]!;
    const own = parent[above] === above ? above : root(at);
    // Neighbours in number are mostly neighbours in space.
    if (own !== top) {
      if (piece >= 0) sizes[piece]! += size;
      if (name[own] === 0) name[own] = sizes.push(0);
      top = own;
      piece = name[own]! - 1;
      size = 0;
    }
    of[at] = piece;
    size += 1;
  }
  if (piece >= 0) sizes[piece]! += size;
  return { of, sizes };
}

/** Keeps the triangles that a test on their corners accepts, and only the vertices they use. */
export function keepTriangles(
  { positions, triangles }: Mesh,
  accept: (a: number, b: number, c: number) => boolean,
): Mesh {
  const kept = new Uint32Array(triangles.length);
  // New numbers go by the order in which vertices are met; one more than the number, 0 not met.
  const number = new Int32Array(positions.length / 3);
  let corners = 0;
  let vertices = 0;
  for (let at = 0; at < triangles.length; at += 3) {
    const a = triangles[at]!;
    const b = triangles[at + 1]!;
    const c = triangles[at + 2]!;
    if (!accept(a, b, c)) continue;
    if (number[a] === 0) number[a] = ++vertices;
    if (number[b] === 0) number[b] = ++vertices;
    if (number[c] === 0) number[c] = ++vertices;
    kept[corners] = number[a]! - 1;
    kept[corners + 1] = number[b]! - 1;
    kept[corners + 2] = number[c]! - 1;
    corners += 3;
  }
  const used = new Float32Array(vertices * 3);
  for (let vertex = 0; vertex < number.length; vertex += 1) {
    if (number[vertex] === 0) continue;
    const from = vertex * 3;
    const to = (number[vertex]! - 1) * 3;
    used[to] = positions[from]!;
    used[to + 1] = positions[from + 1]!;
    used[to + 2] = positions[from + 2]!;
  }
  // A view of the larger buffer: copying it would be a tenth of the work.
  return { positions: used, triangles: kept.subarray(0, corners) };
}

/** Mean place of each vertex's neighbours. */
function neighbourMeans({ positions, triangles }: Mesh): { sums: Float32Array; counts: Uint16Array } {
  const sums = new Float32Array(positions.length);
  const counts = new Uint16Array(positions.length / 3);
  for (let at = 0; at < triangles.length; at += 3)
    for (let corner = 0; corner < 3; corner += 1) {
      const vertex = triangles[at + corner]!;
      const b = triangles[at + ((corner + 1) % 3)]! * 3;
      const c = triangles[at + ((corner + 2) % 3)]! * 3;
      sums[vertex * 3]! += positions[b]! + positions[c]!;
      sums[vertex * 3 + 1]! += positions[b + 1]! + positions[c + 1]!;
      sums[vertex * 3 + 2]! += positions[b + 2]! + positions[c + 2]!;
      counts[vertex]! += 2;
    }
  return { sums, counts };
}

/** Vertices that are looked at for roughness: every n-th of this many. */
const ROUGHNESS_SAMPLE = 4000;

/** Typical distance of a vertex from the middle of its neighbours: curvature and noise, in the mesh’s unit. */
export function roughness({ positions, triangles }: Mesh): number {
  const vertices = positions.length / 3;
  const stride = Math.max(1, Math.floor(vertices / ROUGHNESS_SAMPLE));
  const places = Math.ceil(vertices / stride);
  const sampled = new Uint8Array(vertices);
  for (let at = 0; at < vertices; at += stride) sampled[at] = 1;
  const sums = new Float32Array(places * 3);
  const counts = new Uint16Array(places);
  const add = (vertex: number, b: number, c: number) => {
    const at = vertex / stride;
    sums[at * 3]! += positions[b * 3]! + positions[c * 3]!;
    sums[at * 3 + 1]! += positions[b * 3 + 1]! + positions[c * 3 + 1]!;
    sums[at * 3 + 2]! += positions[b * 3 + 2]! + positions[c * 3 + 2]!;
    counts[at]! += 2;
  };
  for (let at = 0; at < triangles.length; at += 3) {
    const a = triangles[at]!;
    const b = triangles[at + 1]!;
    const c = triangles[at + 2]!;
    if (sampled[a]! + sampled[b]! + sampled[c]! === 0) continue;
    if (sampled[a] === 1) add(a, b, c);
    if (sampled[b] === 1) add(b, c, a);
    if (sampled[c] === 1) add(c, a, b);
  }
  const away = new Float64Array(places);
  let found = 0;
  for (let at = 0; at < places; at += 1) {
    const n = counts[at]!;
    if (n === 0) continue;
    const vertex = at * stride * 3;
    away[found++] = Math.hypot(
      sums[at * 3]! / n - positions[vertex]!,
      sums[at * 3 + 1]! / n - positions[vertex + 1]!,
      sums[at * 3 + 2]! / n - positions[vertex + 2]!,
    );
  }
  return away.subarray(0, found).sort()[found >> 1] ?? 0;
}

/**
 * Takes the noise off a surface without shrinking it: steps towards the neighbours' middle and back.
 * Taubin 1995, SIGGRAPH, from memory (λ 0.5, μ −0.53).
 */
export function smoothed(mesh: Mesh, rounds: number): Mesh {
  let positions = mesh.positions;
  for (let step = 0; step < rounds * 2; step += 1) {
    const share = step % 2 === 0 ? 0.5 : -0.53;
    const { sums, counts } = neighbourMeans({ positions, triangles: mesh.triangles });
    const next = positions.slice();
    for (let at = 0; at < next.length; at += 1) {
      const n = counts[(at / 3) | 0]!;
      if (n > 0) next[at]! += share * (sums[at]! / n - positions[at]!);
    }
    positions = next;
  }
  return { positions, triangles: mesh.triangles };
}

/**
 * Vertices that may lie on an open edge. Where a surface is closed and turned one way all over, the corners that
 * follow a vertex are the same that lead to it: the sum of their numbers cancels. What does not cancel is open, or
 * turned the other way; a rim whose numbers cancel by chance would be missed, one in a few hundred thousand.
 */
function suspects({ positions, triangles }: Mesh): Uint8Array {
  const sums = new Int32Array(positions.length / 3);
  for (let at = 0; at < triangles.length; at += 3) {
    const a = triangles[at]!;
    const b = triangles[at + 1]!;
    const c = triangles[at + 2]!;
    sums[a]! += b - c;
    sums[b]! += c - a;
    sums[c]! += a - b;
  }
  const suspect = new Uint8Array(sums.length);
  for (let at = 0; at < sums.length; at += 1) suspect[at] = sums[at] === 0 ? 0 : 1;
  return suspect;
}

/** Edges that only one triangle has, chained into loops of vertex numbers. */
export function openLoops(mesh: Mesh): number[][] {
  const { triangles } = mesh;
  const suspect = suspects(mesh);
  const uses = new Map<number, number>();
  const vertices = mesh.positions.length / 3;
  const file = (a: number, b: number) => {
    if (suspect[a] === 0 || suspect[b] === 0) return;
    const key = a < b ? a * vertices + b : b * vertices + a;
    uses.set(key, (uses.get(key) ?? 0) + 1);
  };
  for (let at = 0; at < triangles.length; at += 3) {
    const a = triangles[at]!;
    const b = triangles[at + 1]!;
    const c = triangles[at + 2]!;
    // Most triangles lie inside: two suspects at least make an edge.
    if (suspect[a]! + suspect[b]! + suspect[c]! < 2) continue;
    file(a, b);
    file(b, c);
    file(c, a);
  }
  const next = new Map<number, number[]>();
  const link = (a: number, b: number) => {
    const list = next.get(a);
    if (list) list.push(b);
    else next.set(a, [b]);
  };
  for (const [key, count] of uses) {
    if (count !== 1) continue;
    const low = Math.floor(key / vertices);
    const high = key % vertices;
    link(low, high);
    link(high, low);
  }
  return chain(next);
}

function chain(next: Map<number, number[]>): number[][] {
  const loops: number[][] = [];
  const taken = new Set<string>();
  const key = (a: number, b: number) => (a < b ? `${a}-${b}` : `${b}-${a}`);
  for (const [first, ends] of next)
    for (const second of ends) {
      if (taken.has(key(first, second))) continue;
      const loop = [first];
      let before = first;
      let at = second;
      taken.add(key(before, at));
      while (at !== first) {
        loop.push(at);
        const onward = next.get(at)?.find((candidate) => !taken.has(key(at, candidate)));
        if (onward === undefined) break;
        taken.add(key(at, onward));
        before = at;
        at = onward;
      }
      if (at === first && loop.length >= 3) loops.push(loop);
    }
  return loops;
}

/** Length of a loop of vertices, in the mesh's unit. */
export function loopLength({ positions }: Mesh, loop: readonly number[]): number {
  let length = 0;
  for (const [index, a] of loop.entries()) {
    const b = loop[(index + 1) % loop.length]!;
    length += Math.hypot(
      positions[a * 3]! - positions[b * 3]!,
      positions[a * 3 + 1]! - positions[b * 3 + 1]!,
      positions[a * 3 + 2]! - positions[b * 3 + 2]!,
    );
  }
  return length;
}

/** Closes loops with a fan about their middle. */
export function closeLoops(mesh: Mesh, loops: readonly number[][]): Mesh {
  if (loops.length === 0) return mesh;
  const added = loops.reduce((sum, loop) => sum + loop.length, 0);
  const positions = new Float32Array(mesh.positions.length + loops.length * 3);
  positions.set(mesh.positions);
  const triangles = new Uint32Array(mesh.triangles.length + added * 3);
  triangles.set(mesh.triangles);
  let at = mesh.triangles.length;
  for (const [index, loop] of loops.entries()) {
    const middle = mesh.positions.length / 3 + index;
    for (let axis = 0; axis < 3; axis += 1)
      positions[middle * 3 + axis] =
        loop.reduce((sum, vertex) => sum + mesh.positions[vertex * 3 + axis]!, 0) / loop.length;
    for (const [place, vertex] of loop.entries()) {
      triangles[at++] = vertex;
      triangles[at++] = middle;
      triangles[at++] = loop[(place + 1) % loop.length]!;
    }
  }
  return { positions, triangles };
}
