import type { Push } from './specification';
import { utilityAt } from './utility';

/** Values that every limit allows: a limit allows what it gives full marks. */
const allowedBy = (limits: readonly Push[], values: readonly (number | string)[]): (number | string)[] =>
  values.filter((value) => limits.every((limit) => utilityAt(limit.want, value) === 1));

/**
 * The smallest set of limits that cannot hold together, found by leaving out one at a time whatever is not
 * needed for the contradiction. Empty when they can hold together.
 */
export function smallestContradiction(limits: readonly Push[], values: readonly (number | string)[]): Push[] {
  if (allowedBy(limits, values).length > 0) return [];
  let core = [...limits];
  for (const limit of limits) {
    const rest = core.filter((other) => other !== limit);
    if (allowedBy(rest, values).length === 0) core = rest;
  }
  return core;
}
