import { median } from 'simple-statistics';
import { REAL_GIRTH_MM } from '../swelling/course';

/** Latest readings that a new one is held against. Ours. */
const HELD_AGAINST = 5;
const usualOf = (earlier: readonly number[]): number | null =>
  earlier.length === 0 ? null : median(earlier.slice(-HELD_AGAINST));

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
