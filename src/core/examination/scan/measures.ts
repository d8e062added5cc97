import { polygonHull, polygonLength } from 'd3-polygon';
import type { Side } from '../../findings/finding-kinds';
import { type Extreme, HEEL, type Rim, widest } from './landmarks';
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
  const [ball, half] = sections(mesh, [
    { normal, offset: first.x * normal.x + first.y * normal.y },
    { normal: { x: 1, y: 0 }, offset: length / 2 },
  ]);
  const heelIn = widest(rim, length, HEEL.from, HEEL.to, 1);
  const heelOut = widest(rim, length, HEEL.from, HEEL.to, -1);
  const toe = highestToe(mesh, length);
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

/** The highest spot of the foremost tenth. */
function highestToe({ positions }: Mesh, length: number): Extreme {
  const from = 0.9 * length;
  let height = 0;
  let top = -1;
  for (let at = 0; at < positions.length; at += 3)
    if (positions[at]! >= from && positions[at + 2]! > height) {
      height = positions[at + 2]!;
      top = at;
    }
  if (top < 0) return { x: 0, y: 0, z: 0 };
  return { x: positions[top]!, y: positions[top + 1]!, z: height };
}

/** An upright plane: its level unit normal, and how far along it the plane stands. */
interface Plane {
  normal: { x: number; y: number };
  offset: number;
}

/** Distance of a vertex from a plane, ahead of it positive. */
const distance = ({ positions }: Mesh, { normal, offset }: Plane, vertex: number): number =>
  Math.fround(positions[vertex * 3]! * normal.x + positions[vertex * 3 + 1]! * normal.y - offset);

/** Where two upright planes cut the mesh. */
function sections(mesh: Mesh, planes: readonly [Plane, Plane]) {
  const { positions, triangles } = mesh;
  const [one, other] = planes;
  // 1 ahead of the first plane, 4 ahead of the second: the sum over a triangle tells which of them it meets.
  const ahead = new Uint8Array(positions.length / 3);
  for (let at = 0; at < ahead.length; at += 1)
    ahead[at] = (distance(mesh, one, at) > 0 ? 1 : 0) + (distance(mesh, other, at) > 0 ? 4 : 0);
  // Places of the first corners of the triangles that each plane cuts.
  const ofOne: number[] = [];
  const ofOther: number[] = [];
  for (let at = 0; at < triangles.length; at += 3) {
    const sum = ahead[triangles[at]!]! + ahead[triangles[at + 1]!]! + ahead[triangles[at + 2]!]!;
    const first = sum & 3;
    if (first === 1 || first === 2) ofOne.push(at);
    const second = sum >> 2;
    if (second === 1 || second === 2) ofOther.push(at);
  }
  return [section(mesh, one, ofOne), section(mesh, other, ofOther)] as const;
}

/** A tape drawn tight around the points in which a plane cuts the triangles given by the place of their first corner. */
function section(mesh: Mesh, plane: Plane, cuts: readonly number[]) {
  const { positions, triangles } = mesh;
  const { normal, offset } = plane;
  const points: [number, number][] = [];
  const cut = (a: number, b: number) => {
    const from = distance(mesh, plane, a);
    const to = distance(mesh, plane, b);
    if (from > 0 === to > 0) return;
    const t = from / (from - to);
    const at = (axis: number) =>
      positions[a * 3 + axis]! + t * (positions[b * 3 + axis]! - positions[a * 3 + axis]!);
    points.push([at(1) * normal.x - at(0) * normal.y, at(2)]);
  };
  for (const at of cuts) {
    cut(triangles[at]!, triangles[at + 1]!);
    cut(triangles[at + 1]!, triangles[at + 2]!);
    cut(triangles[at + 2]!, triangles[at]!);
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
