import { definitionOf, type FindingId, isFindingId } from '../findings/findings';
import type { Condition } from './rule';

type Leaf = Exclude<Condition, { all: unknown } | { any: unknown } | { not: unknown }>;
/** A finding with what one conjunction demands of it. */
type Demand = { leaf: Leaf; holds: boolean };

/** The condition as alternatives, each a list of demands that must all be met (disjunctive normal form). */
export function alternativesOfCondition(condition: Condition, holds = true): Demand[][] {
  if ('not' in condition) return alternativesOfCondition(condition.not, !holds);
  const parts = 'all' in condition ? condition.all : 'any' in condition ? condition.any : null;
  if (!parts) return [[{ leaf: condition as Leaf, holds }]];
  const each = parts.map((part) => alternativesOfCondition(part, holds));
  const conjunction = 'all' in condition === holds;
  if (!conjunction) return each.flat();
  return each.reduce<Demand[][]>(
    (sofar, next) => sofar.flatMap((left) => next.map((right) => [...left, ...right])),
    [[]],
  );
}

const listed = (value: string | readonly string[]): readonly string[] =>
  typeof value === 'string' ? [value] : value;

/** Whether one finding can take a value that meets every demand on it. */
function canMeet(finding: FindingId, demands: readonly Demand[]): boolean {
  const definition = definitionOf(finding);
  if (definition.kind === 'text') return false;
  if (definition.kind === 'number') return numberCanMeet(definition.possible, demands);
  const options = Object.keys(definition.options);
  if (definition.kind === 'choice')
    return options.some((option) =>
      demands.every(({ leaf, holds }) => ('is' in leaf && listed(leaf.is).includes(option)) === holds),
    );
  const barred = new Set(
    demands.flatMap(({ leaf, holds }) => (!holds && 'has' in leaf ? listed(leaf.has) : [])),
  );
  return demands.every(
    ({ leaf, holds }) =>
      !holds ||
      ('has' in leaf && listed(leaf.has).some((option) => options.includes(option) && !barred.has(option))),
  );
}

/** Tries each edge, a little to both sides of it and the ends: between edges nothing changes. */
function numberCanMeet([lowest, highest]: readonly [number, number], demands: readonly Demand[]): boolean {
  const meets = (value: number) =>
    demands.every(({ leaf, holds }) => {
      if ('is' in leaf || 'has' in leaf) return false;
      const inside =
        (leaf.atLeast === undefined || value >= leaf.atLeast) &&
        (leaf.above === undefined || value > leaf.above) &&
        (leaf.atMost === undefined || value <= leaf.atMost) &&
        (leaf.below === undefined || value < leaf.below);
      return inside === holds;
    });
  const edges = demands.flatMap(({ leaf }) =>
    'is' in leaf || 'has' in leaf ? [] : [leaf.atLeast, leaf.above, leaf.atMost, leaf.below],
  );
  const tries = edges
    .filter((edge) => edge !== undefined)
    .flatMap((edge) => [edge - 1e-6, edge, edge + 1e-6]);
  return [lowest, highest, ...tries].some((value) => value >= lowest && value <= highest && meets(value));
}

/** Whether the demands can all be met by some picture, seen from one side. */
export function canAllHold(demands: readonly Demand[]): boolean {
  const byFinding = new Map<FindingId, Demand[]>();
  for (const demand of demands) {
    const { finding } = demand.leaf;
    if (!isFindingId(finding)) return false;
    byFinding.set(finding, [...(byFinding.get(finding) ?? []), demand]);
  }
  return [...byFinding].every(([finding, of]) => canMeet(finding, of));
}

/** Whether some picture makes the condition true. */
export const isSatisfiable = (condition: Condition): boolean =>
  alternativesOfCondition(condition).some(canAllHold);

/** Whether two conditions can hold together while resting on a finding that both demand the same way. */
export function shareATrigger(a: Condition, b: Condition): boolean {
  const same = (one: Demand, two: Demand): boolean =>
    one.holds &&
    two.holds &&
    one.leaf.finding === two.leaf.finding &&
    (!('has' in one.leaf && 'has' in two.leaf) ||
      listed(one.leaf.has).some((option) =>
        listed((two.leaf as { has: string | readonly string[] }).has).includes(option),
      ));
  return alternativesOfCondition(a).some((left) =>
    alternativesOfCondition(b).some(
      (right) => left.some((one) => right.some((two) => same(one, two))) && canAllHold([...left, ...right]),
    ),
  );
}
