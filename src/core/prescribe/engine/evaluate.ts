import type { Side } from '../../findings/finding-kinds';
import type { FindingId } from '../../findings/findings';
import { type ClinicalPicture, findingAt, NOT_EXAMINED } from '../../findings/picture';
import type { Condition } from '../../knowledge/rule';

/** Three-valued answer: a finding nobody took is neither yes nor no. */
export type ThreeValued = 'yes' | 'no' | 'unknown';

const listed = (value: string | readonly string[]): readonly string[] =>
  typeof value === 'string' ? [value] : value;

/**
 * Kleene's strong three-valued logic, per side: yes as soon as a condition holds in part. Unknown findings that matter are
 * added to `missing`.
 */
export function evaluate(
  condition: Condition,
  picture: ClinicalPicture,
  side: Side,
  missing?: Set<FindingId>,
): ThreeValued {
  const degree = degreeOf(condition, picture, side, missing);
  return degree === null ? 'unknown' : degree > 0 ? 'yes' : 'no';
}

/**
 * How far a condition holds on a side: 0 not at all, 1 in full, between where a number lies within the width of a cut-off
 * that nobody published; null where a finding nobody took would settle it.
 */
export function degreeOf(
  condition: Condition,
  picture: ClinicalPicture,
  side: Side,
  missing?: Set<FindingId>,
): number | null {
  if ('all' in condition) return combine(condition.all, 0, picture, side, missing);
  if ('any' in condition) return combine(condition.any, 1, picture, side, missing);
  if ('not' in condition) {
    const degree = degreeOf(condition.not, picture, side, missing);
    return degree === null ? null : 1 - degree;
  }
  const value = findingAt(picture, condition.finding, side);
  if (value === NOT_EXAMINED) {
    missing?.add(condition.finding);
    return null;
  }
  if ('is' in condition) return listed(condition.is).includes(String(value)) ? 1 : 0;
  if ('has' in condition) {
    const wanted = listed(condition.has);
    return Array.isArray(value) && value.some((entry) => wanted.includes(entry)) ? 1 : 0;
  }
  return withinCuts(condition, Number(value));
}

/** How far a number lies within its cut-offs: at once at a published one, over its width at one of ours. */
function withinCuts(
  { atLeast, above, atMost, below, over = 0 }: Extract<Condition, { atLeast?: number }>,
  value: number,
): number {
  if (over === 0)
    return (atLeast === undefined || value >= atLeast) &&
      (above === undefined || value > above) &&
      (atMost === undefined || value <= atMost) &&
      (below === undefined || value < below)
      ? 1
      : 0;
  const rising = (edge: number | undefined) =>
    edge === undefined ? 1 : Math.min(1, Math.max(0, (value - edge) / over + 0.5));
  const falling = (edge: number | undefined) => (edge === undefined ? 1 : 1 - rising(edge));
  return Math.min(rising(atLeast), rising(above), falling(atMost), falling(below));
}

/**
 * The least of a conjunction, the greatest of a disjunction. `decisive` settles the whole at once; what is unknown is
 * only missing when nothing settled it.
 */
function combine(
  parts: readonly Condition[],
  decisive: 0 | 1,
  picture: ClinicalPicture,
  side: Side,
  missing?: Set<FindingId>,
): number | null {
  // Only who asks for the missing findings pays for collecting them.
  const seen = missing ? new Set<FindingId>() : undefined;
  let unknown = false;
  let whole: number = 1 - decisive;
  for (const part of parts) {
    const degree = degreeOf(part, picture, side, seen);
    if (degree === decisive) return decisive;
    if (degree === null) unknown = true;
    else whole = decisive === 0 ? Math.min(whole, degree) : Math.max(whole, degree);
  }
  if (!unknown) return whole;
  for (const id of seen ?? []) missing?.add(id);
  // What holds in part already holds at least so far; the rest is still asked for.
  return decisive === 1 && whole > 0 ? whole : null;
}
