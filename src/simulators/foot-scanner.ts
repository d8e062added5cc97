import { polygonHull, polygonLength } from 'd3-polygon';
import type { Mesh } from '@/core/examination/scan/mesh';
import type { ScanMeasures, ScanUnit } from '@/core/examination/scan/reading';
import type { Side } from '@/core/findings/finding-kinds';
import { noise } from './noise';

export interface ScannerSettings {
  seed: number;
  side: Side;
  lengthMm: number;
  ballWidthMm: number;
  ballGirthMm: number;
  heelWidthMm: number;
  dorsumHeightMm: number;
  toeHeightMm: number;
  /** Rings along the foot; triangles are about 2 × rings × spokes. */
  rings: number;
  spokes: number;
  /** Turn about the upright, then tilts, degrees: how the scan lies in its file. */
  turnDeg: readonly [number, number, number];
  unit: ScanUnit;
  /** Standard deviation of the surface, mm. */
  grainMm: number;
  holes: number;
  floor: boolean;
  insideOut: boolean;
  openSole: boolean;
}

export const SCANNER: ScannerSettings = {
  seed: 1,
  side: 'right',
  lengthMm: 258,
  ballWidthMm: 98,
  ballGirthMm: 244,
  heelWidthMm: 64,
  dorsumHeightMm: 65,
  toeHeightMm: 24,
  rings: 220,
  spokes: 120,
  turnDeg: [0, 0, 0],
  unit: 'mm',
  grainMm: 0,
  holes: 0,
  floor: false,
  insideOut: false,
  openSole: false,
};

type Knots = readonly (readonly [number, number])[];

/** Smooth monotone interpolation between knots (cosine). */
function between(knots: Knots, at: number): number {
  if (at <= knots[0]![0]) return knots[0]![1];
  for (let index = 1; index < knots.length; index += 1) {
    const [x1, y1] = knots[index]!;
    const [x0, y0] = knots[index - 1]!;
    if (at <= x1) return y0 + (y1 - y0) * (0.5 - 0.5 * Math.cos((Math.PI * (at - x0)) / (x1 - x0)));
  }
  return knots[knots.length - 1]![1];
}

/** Share of the length at which each metatarsal head bulges. */
const FIRST_HEAD = 0.735;
const FIFTH_HEAD = 0.63;

/** The body of a foot: for each place along it, both sides, the top, and the exponent of its upper half. */
function body(settings: ScannerSettings, breadth: number, ballHeight: number) {
  const { lengthMm: length, heelWidthMm: heel } = settings;
  const round = (u: number, from: number) => Math.sqrt(Math.max(0, 1 - ((from - u) / from) ** 2));
  const innerKnots: Knots = [
    [0.16, heel / 2],
    [0.42, breadth * 0.36],
    [FIRST_HEAD, breadth * 0.5],
    [0.93, breadth * 0.33],
  ];
  const inner = (u: number) => {
    if (u < 0.16) return (heel / 2) * round(u, 0.16);
    if (u > 0.93) return breadth * (0.33 - 0.28 * ((u - 0.93) / 0.07) ** 2);
    return between(innerKnots, u);
  };
  const outerKnots: Knots = [
    [0.16, heel / 2],
    [0.4, breadth * 0.41],
    [FIFTH_HEAD, breadth * 0.5],
    [FIRST_HEAD, breadth * 0.49],
    [0.9, breadth * 0.2],
  ];
  const outer = (u: number) => {
    if (u < 0.16) return (heel / 2) * round(u, 0.16);
    if (u > 0.9) return breadth * (0.2 - 0.25 * ((u - 0.9) / 0.1) ** 2);
    return between(outerKnots, u);
  };
  const topKnots: Knots = [
    [0, 58],
    [0.12, 96],
    [0.24, 100],
    [0.5, settings.dorsumHeightMm],
    [0.68, ballHeight],
    [0.9, settings.toeHeightMm],
    [1, 9],
  ];
  const top = (u: number) => between(topKnots, u);
  return { length, inner, outer, top };
}

type Body = ReturnType<typeof body>;

const power = (value: number, exponent: number) => Math.sign(value) * Math.abs(value) ** exponent;

/** How far inward the surface lies: `spoke` runs 0 … 1 around the section from the inner side over the top. */
function acrossAt(foot: Body, u: number, spoke: number): number {
  const [inner, outer] = [foot.inner(u), foot.outer(u)];
  return (inner - outer) / 2 + ((inner + outer) / 2) * power(Math.cos(spoke * 2 * Math.PI), 0.75);
}

/** Point of the surface. */
function surface(foot: Body, u: number, spoke: number): [x: number, inward: number, z: number] {
  const up = Math.sin(spoke * 2 * Math.PI);
  const height = foot.top(u);
  const waist = height * 0.28;
  const z = up >= 0 ? waist + (height - waist) * power(up, 0.85) : waist + waist * power(up, 0.3);
  return [u * foot.length, acrossAt(foot, u, spoke), z];
}

const TAPE_POINTS = 300;

/** Tape around the surface in an upright plane through two plan points, from the formula, not from the mesh. */
function girth(foot: Body, at: (across: number) => number): number {
  const points: [number, number][] = [];
  for (let spoke = 0; spoke < TAPE_POINTS; spoke += 1) {
    // The place along the foot at which this spoke meets the plane.
    let low = 0.3;
    let high = 0.95;
    for (let turn = 0; turn < 26; turn += 1) {
      const u = (low + high) / 2;
      if (u * foot.length < at(acrossAt(foot, u, spoke / TAPE_POINTS))) low = u;
      else high = u;
    }
    const [x, across, z] = surface(foot, (low + high) / 2, spoke / TAPE_POINTS);
    points.push([Math.hypot(x - at(0), across) * Math.sign(across || 1), z]);
  }
  return polygonLength(polygonHull(points)!);
}

function solveBall(settings: ScannerSettings) {
  const lengthwise = (FIRST_HEAD - FIFTH_HEAD) * settings.lengthMm;
  const breadth = Math.sqrt(settings.ballWidthMm ** 2 - lengthwise ** 2);
  let low = 20;
  let high = 75;
  for (let turn = 0; turn < 18; turn += 1) {
    const height = (low + high) / 2;
    if (ballGirth(body(settings, breadth, height)) < settings.ballGirthMm) low = height;
    else high = height;
  }
  return body(settings, breadth, (low + high) / 2);
}

function ballGirth(foot: Body): number {
  const x1 = FIRST_HEAD * foot.length;
  const x5 = FIFTH_HEAD * foot.length;
  const [y1, y5] = [foot.inner(FIRST_HEAD), -foot.outer(FIFTH_HEAD)];
  return girth(foot, (across) => x5 + ((x1 - x5) * (across - y5)) / (y1 - y5));
}

/** A seeded scan of a foot: the mesh, as it would lie in a file, and what was modelled. */
export function footScan(wanted: Partial<ScannerSettings> = {}): {
  mesh: Mesh;
  truth: Omit<ScanMeasures, 'ballBreadth'>;
  settings: ScannerSettings;
} {
  const settings = { ...SCANNER, ...wanted };
  const foot = solveBall(settings);
  const chance = noise(settings.seed);
  const { rings, spokes } = settings;
  const hand = settings.side === 'right' ? 1 : -1;
  const positions: number[] = [];
  const triangles: number[] = [];
  for (let ring = 0; ring <= rings; ring += 1)
    for (let spoke = 0; spoke < spokes; spoke += 1) {
      // Denser at both ends, where the outline turns quickly.
      const u = 0.5 - 0.5 * Math.cos((Math.PI * ring) / rings);
      const [x, inward, z] = surface(foot, u, spoke / spokes);
      const rough = settings.grainMm > 0 ? chance.normal() * settings.grainMm : 0;
      positions.push(x, hand * inward + rough, Math.max(0, z + (z > 4 ? rough : 0)));
    }
  const corner = (ring: number, spoke: number) => ring * spokes + (spoke % spokes);
  const low = (...corners: number[]) => corners.every((at) => positions[at * 3 + 2]! < 3);
  const skipped = new Set<string>();
  for (let hole = 0; hole < settings.holes; hole += 1) {
    const ring = Math.round(rings * (0.35 + 0.3 * chance.even()));
    const spoke = Math.round(spokes * (0.12 + 0.25 * chance.even()));
    for (let dr = 0; dr < 3; dr += 1)
      for (let ds = 0; ds < 3; ds += 1) skipped.add(`${ring + dr}-${spoke + ds}`);
  }
  const add = (a: number, b: number, c: number) =>
    (hand === 1) === settings.insideOut ? triangles.push(a, b, c) : triangles.push(a, c, b);
  for (let ring = 0; ring < rings; ring += 1)
    for (let spoke = 0; spoke < spokes; spoke += 1) {
      if (skipped.has(`${ring}-${spoke}`)) continue;
      if (settings.openSole && low(corner(ring, spoke), corner(ring + 1, spoke), corner(ring, spoke + 1)))
        continue;
      add(corner(ring, spoke), corner(ring + 1, spoke), corner(ring, spoke + 1));
      add(corner(ring, spoke + 1), corner(ring + 1, spoke), corner(ring + 1, spoke + 1));
    }
  cap(positions, rings, spokes, add);
  if (settings.floor) addFloor(positions, triangles);
  return {
    mesh: laid(Float32Array.from(positions), Uint32Array.from(triangles), settings),
    truth: {
      footLength: settings.lengthMm,
      heelBallLength: FIRST_HEAD * settings.lengthMm,
      ballWidth: settings.ballWidthMm,
      ballGirth: ballGirth(foot),
      instepGirth: girth(foot, () => settings.lengthMm / 2),
      heelWidth: settings.heelWidthMm,
      toeHeight: settings.toeHeightMm,
      dorsumHeight: settings.dorsumHeightMm,
    },
    settings,
  };
}

/** Closes the toe end; the heel end is a line already. */
function cap(
  positions: number[],
  rings: number,
  spokes: number,
  add: (a: number, b: number, c: number) => number,
): void {
  for (const ring of [0, rings]) {
    const middle = positions.length / 3;
    const sum = [0, 0, 0];
    for (let spoke = 0; spoke < spokes; spoke += 1)
      for (let axis = 0; axis < 3; axis += 1) sum[axis]! += positions[(ring * spokes + spoke) * 3 + axis]!;
    positions.push(sum[0]! / spokes, sum[1]! / spokes, sum[2]! / spokes);
    for (let spoke = 0; spoke < spokes; spoke += 1) {
      const a = ring * spokes + spoke;
      const b = ring * spokes + ((spoke + 1) % spokes);
      if (ring === 0) add(a, b, middle);
      else add(b, a, middle);
    }
  }
}

function addFloor(positions: number[], triangles: number[]): void {
  const from = positions.length / 3;
  const steps = 12;
  for (let i = 0; i <= steps; i += 1)
    for (let j = 0; j <= steps; j += 1)
      positions.push(-120 + (i * 520) / steps, -250 + (j * 500) / steps, -0.3);
  for (let i = 0; i < steps; i += 1)
    for (let j = 0; j < steps; j += 1) {
      const a = from + i * (steps + 1) + j;
      triangles.push(a, a + steps + 1, a + 1, a + 1, a + steps + 1, a + steps + 2);
    }
}

/** Turns the scan as the device would have it, and changes the unit. */
function laid(positions: Float32Array, triangles: Uint32Array, settings: ScannerSettings): Mesh {
  const [yaw, pitch, roll] = settings.turnDeg.map((deg) => (deg * Math.PI) / 180) as [number, number, number];
  const scale = { mm: 1, cm: 0.1, m: 0.001, in: 1 / 25.4 }[settings.unit];
  for (let at = 0; at < positions.length; at += 3) {
    let [x, y, z] = [positions[at]!, positions[at + 1]!, positions[at + 2]!];
    [x, y] = [x * Math.cos(yaw) - y * Math.sin(yaw), x * Math.sin(yaw) + y * Math.cos(yaw)];
    [x, z] = [x * Math.cos(pitch) - z * Math.sin(pitch), x * Math.sin(pitch) + z * Math.cos(pitch)];
    [y, z] = [y * Math.cos(roll) - z * Math.sin(roll), y * Math.sin(roll) + z * Math.cos(roll)];
    positions[at] = x * scale;
    positions[at + 1] = y * scale;
    positions[at + 2] = z * scale;
  }
  return { positions, triangles };
}
