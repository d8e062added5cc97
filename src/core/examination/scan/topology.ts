import type { Mesh } from './mesh';

/** Connected pieces of a mesh: the piece of each vertex, and the number of triangles of each piece. */
export function components({ positions, triangles }: Mesh): { of: Int32Array; sizes: number[] } {
  const vertices = positions.length / 3;
  const parent = new Int32Array(vertices);
  for (let at = 0; at < vertices; at += 1) parent[at] = at;
  const root = (from: number) => {
    let at = from;
    while (parent[at] !== at) {
      parent[at] = parent[parent[at]!]!;
      at = parent[at]!;
    }
    return at;
  };
  for (let at = 0; at < triangles.length; at += 3) {
    const a = root(triangles[at]!);
    const b = root(triangles[at + 1]!);
    if (a !== b) parent[b] = a;
    const c = root(triangles[at + 2]!);
    if (a !== c) parent[c] = a;
  }
  const of = new Int32Array(vertices).fill(-1);
  const number = new Map<number, number>();
  for (let at = 0; at < vertices; at += 1) {
    const top = root(at);
    let index = number.get(top);
    if (index === undefined) {
      index = number.size;
      number.set(top, index);
    }
    of[at] = index;
  }
  const sizes = new Array<number>(number.size).fill(0);
  for (let at = 0; at < triangles.length; at += 3) sizes[of[triangles[at]!]!]! += 1;
  return { of, sizes };
}

/** Keeps the triangles that a test on their corners accepts, and only the vertices they use. */
export function keepTriangles(mesh: Mesh, accept: (a: number, b: number, c: number) => boolean): Mesh {
  const kept = new Uint32Array(mesh.triangles.length);
  let count = 0;
  for (let at = 0; at < mesh.triangles.length; at += 3) {
    const a = mesh.triangles[at]!;
    const b = mesh.triangles[at + 1]!;
    const c = mesh.triangles[at + 2]!;
    if (!accept(a, b, c)) continue;
    kept[count++] = a;
    kept[count++] = b;
    kept[count++] = c;
  }
  return compact({ positions: mesh.positions, triangles: kept.slice(0, count) });
}

/** Drops vertices that no triangle uses. */
function compact({ positions, triangles }: Mesh): Mesh {
  const number = new Int32Array(positions.length / 3).fill(-1);
  const used = new Float32Array(positions.length);
  const renumbered = new Uint32Array(triangles.length);
  let count = 0;
  for (let at = 0; at < triangles.length; at += 1) {
    const vertex = triangles[at]!;
    if (number[vertex]! < 0) {
      used.set(positions.subarray(vertex * 3, vertex * 3 + 3), count * 3);
      number[vertex] = count++;
    }
    renumbered[at] = number[vertex]!;
  }
  return { positions: used.slice(0, count * 3), triangles: renumbered };
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

/** Typical distance of a vertex from the middle of its neighbours: curvature and noise, in the mesh's unit. */
export function roughness(mesh: Mesh): number {
  const { sums, counts } = neighbourMeans(mesh);
  const away: number[] = [];
  const stride = Math.max(1, Math.floor(counts.length / 4000));
  for (let vertex = 0; vertex < counts.length; vertex += stride) {
    const n = counts[vertex]!;
    if (n === 0) continue;
    away.push(
      Math.hypot(
        sums[vertex * 3]! / n - mesh.positions[vertex * 3]!,
        sums[vertex * 3 + 1]! / n - mesh.positions[vertex * 3 + 1]!,
        sums[vertex * 3 + 2]! / n - mesh.positions[vertex * 3 + 2]!,
      ),
    );
  }
  away.sort((a, b) => a - b);
  return away[away.length >> 1] ?? 0;
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

/** Edges that only one triangle has, chained into loops of vertex numbers. */
export function openLoops({ positions, triangles }: Mesh): number[][] {
  const vertices = positions.length / 3;
  // Each edge is filed under its lower vertex; whatever is met a second time is closed.
  const start = new Uint32Array(vertices + 1);
  const lower = (a: number, b: number) => Math.min(a, b);
  for (let at = 0; at < triangles.length; at += 3) {
    const a = triangles[at]!;
    const b = triangles[at + 1]!;
    const c = triangles[at + 2]!;
    start[lower(a, b) + 1]! += 1;
    start[lower(b, c) + 1]! += 1;
    start[lower(c, a) + 1]! += 1;
  }
  for (let at = 0; at < vertices; at += 1) start[at + 1]! += start[at]!;
  const fill = start.slice(0, vertices);
  const other = new Uint32Array(triangles.length);
  const uses = new Uint8Array(triangles.length);
  const file = (a: number, b: number) => {
    const low = Math.min(a, b);
    const high = Math.max(a, b);
    const end = fill[low]!;
    for (let at = start[low]!; at < end; at += 1)
      if (other[at] === high) {
        if (uses[at]! < 3) uses[at]! += 1;
        return;
      }
    other[end] = high;
    uses[end] = 1;
    fill[low] = end + 1;
  };
  for (let at = 0; at < triangles.length; at += 3) {
    const a = triangles[at]!;
    const b = triangles[at + 1]!;
    const c = triangles[at + 2]!;
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
  for (let low = 0; low < vertices; low += 1)
    for (let at = start[low]!; at < fill[low]!; at += 1)
      if (uses[at] === 1) {
        link(low, other[at]!);
        link(other[at]!, low);
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
