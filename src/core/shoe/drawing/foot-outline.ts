import { BALL_SHARE } from './ball';
import { smoothClosed } from './curve';
import type { Point } from './part';

/** What is known of one foot for drawing its outline; widths in mm. */
export interface FootMeasures {
  lengthMm: number;
  ballWidthMm: number | null;
  heelBallMm: number | null;
}

/** Outline of a bare right foot seen from above, heel left, medial side up. */
export function footOutline(foot: FootMeasures): Point[] {
  const width = foot.ballWidthMm ?? foot.lengthMm * 0.38;
  const ball = foot.heelBallMm ?? foot.lengthMm * BALL_SHARE;
  const l = foot.lengthMm;
  return [
    [0, 0],
    [l * 0.04, width * 0.24],
    [l * 0.14, width * 0.32],
    [l * 0.4, width * 0.36],
    [ball * 0.88, width * 0.5],
    [l * 0.76, width * 0.47],
    [l * 0.82, width * 0.42],
    [l * 0.87, width * 0.31],
    [l * 0.92, width * 0.18],
    [l * 0.965, width * 0.02],
    [l, -width * 0.22],
    [l * 0.97, -width * 0.31],
    [l * 0.88, -width * 0.41],
    [ball, -width * 0.5],
    [ball * 0.86, -width * 0.4],
    [l * 0.4, -width * 0.16],
    [l * 0.16, -width * 0.3],
    [l * 0.05, -width * 0.24],
  ];
}

/** The outline as a path, moved along the sole. */
export const footPath = (foot: FootMeasures, by = 0): string =>
  smoothClosed(footOutline(foot).map(([x, y]): Point => [x + by, y]));
