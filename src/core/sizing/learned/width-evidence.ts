import { normalBelow, normalDensity } from '../../statistics/normal';

export type WidthFit = 'tight' | 'right' | 'loose';

/** How far a fitter's word on width strays from the slack that is there, mm. Common practice. */
export const WIDTH_ERROR_MM = 2;
/** Slack (inside + what the upper gives − ball) from which a shoe is called loose; below none it is tight. Common practice. */
export const LOOSE_FROM_MM = 6;

/** Where a verdict's slack begins and ends. */
const RANGE: Record<WidthFit, readonly [number, number]> = {
  tight: [Number.NEGATIVE_INFINITY, 0],
  right: [0, LOOSE_FROM_MM],
  loose: [LOOSE_FROM_MM, Number.POSITIVE_INFINITY],
};

/** Beyond this many errors the logarithm of a share is taken at its asymptote. */
const FAR = 7;
const held = (z: number): number => Math.max(-FAR, Math.min(FAR, z));

/**
 * First derivative and curvature of the log-likelihood of an offset, given that a shoe with this labelled slack was
 * called tight, right or loose (ordered probit; concave, so Newton's method finds the one maximum).
 *
 * @param slackMm slack by the label, without the offset
 * @param offsetMm the offset at which it is looked at
 */
export function widthScore(
  fit: WidthFit,
  slackMm: number,
  offsetMm: number,
): { slope: number; curvature: number } {
  const slack = slackMm + offsetMm;
  const [from, to] = RANGE[fit];
  const low = held((from - slack) / WIDTH_ERROR_MM);
  const high = held((to - slack) / WIDTH_ERROR_MM);
  const below = Number.isFinite(from) ? normalDensity(low) : 0;
  const above = Number.isFinite(to) ? normalDensity(high) : 0;
  const share = Math.max(
    1e-12,
    (Number.isFinite(to) ? normalBelow(high) : 1) - (Number.isFinite(from) ? normalBelow(low) : 0),
  );
  const slope = (below - above) / share;
  const curvature = slope ** 2 - (low * below - high * above) / share;
  return { slope: slope / WIDTH_ERROR_MM, curvature: Math.max(1e-4, curvature) / WIDTH_ERROR_MM ** 2 };
}
