/** Sums over places in a plane. */
export interface Moments {
  count: number;
  x: number;
  y: number;
  xx: number;
  xy: number;
  yy: number;
}

/** The middle of places in a plane, and the unit vector along which they spread most: the principal axis of their covariance. */
export function mainAxis({ count, x, y, xx, xy, yy }: Moments) {
  const middle = { x: x / count, y: y / count };
  const cxx = xx / count - middle.x ** 2;
  const cxy = xy / count - middle.x * middle.y;
  const cyy = yy / count - middle.y ** 2;
  const angle = 0.5 * Math.atan2(2 * cxy, cxx - cyy);
  return { middle, along: { x: Math.cos(angle), y: Math.sin(angle) } };
}
