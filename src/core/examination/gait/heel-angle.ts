import type { Side } from '../../findings/finding-kinds';
import type { Point } from '../footprint/orient';

/** A line on a rear view, from its upper to its lower end; pixels, y downwards. */
export type GaitLine = readonly [upper: Point, lower: Point];

export interface HeelLines {
  leg: GaitLine;
  heel: GaitLine;
}

const DEGREES = 180 / Math.PI;

/** Lean of a line from upright, degrees, + where its lower end lies outward of its upper end. */
function lean([upper, lower]: GaitLine, side: Side): number {
  const outward = side === 'right' ? 1 : -1;
  return Math.atan2(outward * (lower.x - upper.x), lower.y - upper.y) * DEGREES;
}

/**
 * Heel angle in the rear view, degrees: heel bisection against leg bisection, + turned out (everted). Leg and
 * heel are measured against each other, so a camera that is rolled changes nothing.
 *
 * @example a heel upright under a leg that leans 6° inward at its foot gives +6°
 */
export const heelAngle = ({ leg, heel }: HeelLines, side: Side): number => lean(heel, side) - lean(leg, side);

/** As shown and kept: to half a degree. Finer than that is not seen. */
export const toHalfDegree = (angleDeg: number): number => Math.round(angleDeg * 2) / 2;

/** What one pixel at the end of each line is worth, degrees: the resolution of the picture. By arithmetic. */
export function pixelError({ leg, heel }: HeelLines): number {
  const length = ([a, b]: GaitLine) => Math.hypot(a.x - b.x, a.y - b.y);
  const one = (line: GaitLine) => Math.atan(1 / Math.max(1, length(line))) * DEGREES;
  return Math.hypot(one(leg), one(heel));
}

export interface Reproducibility {
  mean: number;
  /** Standard deviation of one placing, degrees; null for a single one. */
  sd: number | null;
  /** Two placings of the same frame differ by less than this in 95 of 100, degrees. */
  repeatability: number | null;
  count: number;
}

/** Mean of repeated placings of the same lines, and how far two of them differ: 1.96 · √2 · SD. */
export function reproducibility(angles: readonly number[]): Reproducibility {
  const mean = angles.reduce((sum, angle) => sum + angle, 0) / angles.length;
  if (angles.length < 2) return { mean, sd: null, repeatability: null, count: angles.length };
  const sd = Math.sqrt(angles.reduce((sum, angle) => sum + (angle - mean) ** 2, 0) / (angles.length - 1));
  return { mean, sd, repeatability: 1.96 * Math.SQRT2 * sd, count: angles.length };
}

/**
 * Tilt that a camera off the line of progression shows where there is none, degrees: a limb that leans forward
 * by `lean` seems to lean sideways by atan(tan lean · sin off). By arithmetic; Areblad 1990, from memory, check.
 *
 * @example falseTilt(15, 15) // 4.0
 */
export const falseTilt = (leanDeg: number, offAxisDeg: number): number =>
  Math.atan(Math.tan(leanDeg / DEGREES) * Math.sin(offAxisDeg / DEGREES)) * DEGREES;
