import type { Side } from '../../findings/finding-kinds';
import type { FindingId } from '../../findings/findings';
import { type ClinicalPicture, findingAt, NOT_EXAMINED } from '../../findings/picture';
import type { Condition } from '../../knowledge/rule';

/** Three-valued answer: a finding nobody took is neither yes nor no. */
export type ThreeValued = 'yes' | 'no' | 'unknown';

const listed = (value: string | readonly string[]): readonly string[] =>
  typeof value === 'string' ? [value] : value;

/** Kleene's strong three-valued logic, per side. Unknown findings that matter are added to `missing`. */
export function evaluate(
  condition: Condition,
  picture: ClinicalPicture,
  side: Side,
  missing?: Set<FindingId>,
): ThreeValued {
  if ('all' in condition) return combine(condition.all, 'no', 'yes', picture, side, missing);
  if ('any' in condition) return combine(condition.any, 'yes', 'no', picture, side, missing);
  if ('not' in condition) {
    const answer = evaluate(condition.not, picture, side, missing);
    return answer === 'unknown' ? answer : answer === 'yes' ? 'no' : 'yes';
  }
  const value = findingAt(picture, condition.finding, side);
  if (value === NOT_EXAMINED) {
    missing?.add(condition.finding);
    return 'unknown';
  }
  if ('is' in condition) return listed(condition.is).includes(String(value)) ? 'yes' : 'no';
  if ('has' in condition) {
    const wanted = listed(condition.has);
    return Array.isArray(value) && value.some((entry) => wanted.includes(entry)) ? 'yes' : 'no';
  }
  const number = Number(value);
  const holds =
    (condition.atLeast === undefined || number >= condition.atLeast) &&
    (condition.above === undefined || number > condition.above) &&
    (condition.atMost === undefined || number <= condition.atMost) &&
    (condition.below === undefined || number < condition.below);
  return holds ? 'yes' : 'no';
}

/** `decisive` settles the whole at once; what is unknown is only missing when nothing settled it. */
function combine(
  parts: readonly Condition[],
  decisive: ThreeValued,
  otherwise: ThreeValued,
  picture: ClinicalPicture,
  side: Side,
  missing?: Set<FindingId>,
): ThreeValued {
  // Only who asks for the missing findings pays for collecting them.
  const seen = missing ? new Set<FindingId>() : undefined;
  let unknown = false;
  for (const part of parts) {
    const answer = evaluate(part, picture, side, seen);
    if (answer === decisive) return decisive;
    if (answer === 'unknown') unknown = true;
  }
  if (!unknown) return otherwise;
  for (const id of seen ?? []) missing?.add(id);
  return 'unknown';
}
