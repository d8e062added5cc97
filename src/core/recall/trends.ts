import { median } from 'simple-statistics';
import { REAL_GIRTH_MM } from '../swelling/course';

/** Latest readings that a new one is held against. Ours. */
const HELD_AGAINST = 5;
/** A step of so many ply calls for the prosthetist (handbook 06: a step change; a sudden fall of more than three), and so many in all. */
const STEP_PLY = 3;
const MANY_PLY = 10;

const usualOf = (earlier: readonly number[]): number | null =>
  earlier.length === 0 ? null : median(earlier.slice(-HELD_AGAINST));

/**
 * Why a number of ply asks for the prosthetist; null where it does not.
 *
 * @param earlier ply of the days before, oldest first
 */
export function sockAlarm(earlier: readonly number[], ply: number): string | null {
  const usual = usualOf(earlier);
  if (usual !== null && Math.abs(ply - usual) >= STEP_PLY)
    return `a step from ${usual} ply: have the socket seen`;
  // Steadily many, and not once.
  return ply >= MANY_PLY && usual !== null && usual >= MANY_PLY
    ? 'steadily 10 ply or more: have the socket seen'
    : null;
}

/**
 * Why a girth asks to be seen: it rose for real against the days before. New swelling of one side is a warning sign (handbook 06).
 * The real change is that of the figure of eight; taking it for ankle and calf too is ours.
 */
export function girthAlarm(earlier: readonly number[], mm: number): string | null {
  const usual = usualOf(earlier);
  return usual !== null && mm - usual >= REAL_GIRTH_MM
    ? `${Math.round(mm - usual)} mm more than before: new swelling of one side is seen at once`
    : null;
}
