import { eyeletAt, type ShoeEyelets, type Throat, USUAL_THROAT } from './eyelets';
import { type LacePath, segmentsOf } from './path';

/** Lace taken up by going through one hole, by each loop of a lock with its crossing, by a twist, and by each end of a bow, mm. Ours. */
export const TAKEN_UP = { hole: 6, lock: 90, twist: 50, bow: 260 } as const;

/** Lengths that laces are sold in, cm. From memory. */
export const SOLD_CM: readonly number[] = [60, 75, 90, 100, 110, 120, 140, 150, 160, 180, 200, 220, 240];

/** Length of lace that a path takes with a bow, mm. */
export function laceLengthMm(path: LacePath, eyelets: ShoeEyelets, throat: Throat = USUAL_THROAT): number {
  const along = segmentsOf(path).reduce((sum, { from, to }) => {
    const [a, b] = [eyeletAt(from, eyelets, throat), eyeletAt(to, eyelets, throat)];
    return sum + Math.hypot(a.across - b.across, a.up - b.up);
  }, 0);
  return (
    along +
    path.nodes.length * TAKEN_UP.hole +
    (path.isLocked ? 2 * TAKEN_UP.lock : 0) +
    (path.twistAfter === null ? 0 : TAKEN_UP.twist) +
    2 * TAKEN_UP.bow
  );
}

/** The shortest lace on sale that is long enough, cm; the longest where none is. */
export const soldLengthCm = (mm: number): number =>
  SOLD_CM.find((length) => length * 10 >= mm) ?? SOLD_CM.at(-1)!;
