import { polygonHull, polygonLength } from 'd3-polygon';
import type { Side } from '../../findings/finding-kinds';
import { type Extreme, type Rim, widest } from './landmarks';
import type { Mesh } from './mesh';
import type { ScanMeasures, ScanReading } from './reading';
import type { Vector } from './stand';

/** All measures of a foot that stands in its frame, and the lines that show them. */
export function measure(mesh: Mesh, rim: Rim, length: number, side: Side) {
  const inner = side === 'right' ? 1 : -1;
  const first = widest(rim, length, 0.66, 0.8, inner);
  const fifth = widest(rim, length, 0.55, 0.72, -inner as 1 | -1);
  const ballWidth = Math.hypot(first.x - fifth.x, first.y - fifth.y);
  const normal = { x: (fifth.y - first.y) / ballWidth, y: (first.x - fifth.x) / ballWidth };
  const ball = section(mesh, normal, first.x * normal.x + first.y * normal.y);
  const half = section(mesh, { x: 1, y: 0 }, length / 2);
  const heelIn = widest(rim, length, 0.12, 0.18, 1);
  const heelOut = widest(rim, length, 0.12, 0.18, -1);
  let toe: Extreme = { x: 0, y: 0, z: 0 };
  for (let at = 0; at < mesh.positions.length; at += 3)
    if (mesh.positions[at]! >= 0.9 * length && mesh.positions[at + 2]! > toe.z)
      toe = {
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
  const ahead = new Uint8Array(vertices);
  for (let at = 0; at < vertices; at += 1) {
    const distance = positions[at * 3]! * normal.x + positions[at * 3 + 1]! * normal.y - offset;
    away[at] = distance;
    ahead[at] = distance > 0 ? 1 : 0;
  }
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
    const corners = ahead[a]! + ahead[b]! + ahead[c]!;
    if (corners === 0 || corners === 3) continue;
    if (ahead[a] !== ahead[b]) cut(a, b);
    if (ahead[b] !== ahead[c]) cut(b, c);
    if (ahead[c] !== ahead[a]) cut(c, a);
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
