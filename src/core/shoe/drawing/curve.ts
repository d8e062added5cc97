import { curveCatmullRom, curveCatmullRomClosed, curveLinear, line } from 'd3-shape';
import type { Point } from './part';

const draw = line<Point>()
  .x((point) => point[0])
  .y((point) => point[1])
  .digits(1);

/** A smooth open line through the points. */
export const smooth = (points: readonly Point[]): string =>
  draw.curve(curveCatmullRom.alpha(0.5))([...points]) ?? '';

/** A smooth closed outline through the points. */
export const smoothClosed = (points: readonly Point[]): string =>
  draw.curve(curveCatmullRomClosed.alpha(0.5))([...points]) ?? '';

export const straight = (points: readonly Point[]): string => draw.curve(curveLinear)([...points]) ?? '';

/** The area between an upper and a lower smooth line that share their ends' x. */
export function between(upper: readonly Point[], lower: readonly Point[]): string {
  const back = smooth([...lower].reverse()).replace(/^M/, 'L');
  return `${smooth(upper)}${back}Z`;
}
