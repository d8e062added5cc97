import type { Point } from '../footprint/orient';
import { falseTilt, type GaitLine } from './heel-angle';

export interface CameraView {
  widthPx: number;
  /** Horizontal field of view, degrees. Phones have about 60–70. */
  fieldOfViewDeg: number;
}

const DEGREES = 180 / Math.PI;

/** Where two lines meet; null when they are parallel. */
export function crossing([a, b]: GaitLine, [c, d]: GaitLine): Point | null {
  const denominator = (a.x - b.x) * (c.y - d.y) - (a.y - b.y) * (c.x - d.x);
  if (Math.abs(denominator) < 1e-9) return null;
  const p = a.x * b.y - a.y * b.x;
  const q = c.x * d.y - c.y * d.x;
  return {
    x: (p * (c.x - d.x) - (a.x - b.x) * q) / denominator,
    y: (p * (c.y - d.y) - (a.y - b.y) * q) / denominator,
  };
}

/**
 * Angle between the camera's view of a foot and the line of progression, degrees, from the two edges of the
 * walkway or belt: they are parallel to the progression, so they meet at its vanishing point.
 *
 * @returns null when the edges do not meet in front of the camera
 */
export function offAxis(
  left: GaitLine,
  right: GaitLine,
  foot: Point,
  { widthPx, fieldOfViewDeg }: CameraView,
): number | null {
  const vanishing = crossing(left, right);
  if (!vanishing) return null;
  const focal = widthPx / 2 / Math.tan(fieldOfViewDeg / 2 / DEGREES);
  const bearing = (x: number) => Math.atan((x - widthPx / 2) / focal) * DEGREES;
  return bearing(vanishing.x) - bearing(foot.x);
}

/** Shank lean in late stance that the estimate of a false tilt assumes, degrees. Common practice. */
const LATE_STANCE_LEAN = 15;

/** From this false tilt on a camera is called off-axis, degrees: four times the half degree that is kept. Ours. */
const FALSE_TILT_WORTH_SAYING = 2;

/** A warning about the camera's place, or null. */
export function cameraWarning(offAxisDeg: number): string | null {
  const tilt = Math.abs(falseTilt(LATE_STANCE_LEAN, offAxisDeg));
  if (tilt < FALSE_TILT_WORTH_SAYING) return null;
  return `The camera looks ${Math.abs(Math.round(offAxisDeg))}° past the line of walking: a shank leaning ${LATE_STANCE_LEAN}° forward then shows ${tilt.toFixed(1)}° of tilt that is not there. Place the camera straight behind.`;
}

export type Activity = 'walk' | 'run';

/** Contact time of one foot, s: walking about 0.65, running about 0.25. From memory, check (70 %). */
export const STANCE_SECONDS: Record<Activity, number> = { walk: 0.65, run: 0.25 };
const LEAST_RATE: Record<Activity, number> = { walk: 50, run: 120 };

export const framesPerStance = (framesPerSecond: number, activity: Activity): number =>
  Math.round(framesPerSecond * STANCE_SECONDS[activity]);

/** A warning about the frame rate, or null. */
export function rateWarning(framesPerSecond: number, activity: Activity): string | null {
  if (framesPerSecond >= LEAST_RATE[activity]) return null;
  const doing = activity === 'run' ? 'running' : 'walking';
  return `${framesPerSecond} frames a second show only about ${framesPerStance(framesPerSecond, activity)} frames of a ${doing} contact: the peak may fall between two of them. Record at ${LEAST_RATE[activity]} or more.`;
}
