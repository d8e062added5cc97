import { definitionOf, type FindingId } from '../../findings/findings';
import type { Amount, Condition, Rule } from '../../knowledge/rule';
import { memoize } from '../../memo/memoize';
import type { FeatureId } from '../../shoe/features';

/** Findings that a condition reads. */
export function findingsIn(condition: Condition): FindingId[] {
  if ('all' in condition) return condition.all.flatMap(findingsIn);
  if ('any' in condition) return condition.any.flatMap(findingsIn);
  return 'not' in condition ? findingsIn(condition.not) : [condition.finding];
}

/** Whether a rule's condition reads findings of the whole body only. */
export const readsBodyOnly = memoize((rule: Rule): boolean =>
  findingsIn(rule.when).every((id) => definitionOf(id).scope === 'body'),
);

const findingOf = (amount: Amount | undefined): FindingId[] =>
  typeof amount === 'object' ? [amount.finding] : [];

/** Findings that a rule reads, in its condition or for an amount that it wants. */
export const findingsOfRule = (rule: Rule): FindingId[] => [
  ...new Set([
    ...findingsIn(rule.when),
    ...rule.wishes.flatMap((wish) =>
      'atLeast' in wish || 'atMost' in wish ? [...findingOf(wish.atLeast), ...findingOf(wish.atMost)] : [],
    ),
  ]),
];

export interface RuleIndex {
  /** By identifier, so that the order in which rules are written is irrelevant. */
  inOrder: readonly Rule[];
  byId: ReadonlyMap<string, Rule>;
  byFinding: ReadonlyMap<FindingId, readonly Rule[]>;
  byFeature: ReadonlyMap<FeatureId, readonly Rule[]>;
}

/** Where each finding and feature is spoken of; made once for a list of rules. */
export const indexOf = memoize((rules: readonly Rule[]): RuleIndex => {
  const inOrder = [...rules].sort((a, b) => (a.id < b.id ? -1 : 1));
  const byFinding = new Map<FindingId, Rule[]>();
  const byFeature = new Map<FeatureId, Rule[]>();
  const put = <K>(map: Map<K, Rule[]>, key: K, rule: Rule) => {
    const there = map.get(key);
    if (there) there.push(rule);
    else map.set(key, [rule]);
  };
  for (const rule of inOrder) {
    for (const finding of findingsOfRule(rule)) put(byFinding, finding, rule);
    for (const feature of new Set(rule.wishes.map((wish) => wish.feature))) put(byFeature, feature, rule);
  }
  return { inOrder, byId: new Map(inOrder.map((rule) => [rule.id, rule])), byFinding, byFeature };
});

export const rulesInOrder = (rules: readonly Rule[]): readonly Rule[] => indexOf(rules).inOrder;
