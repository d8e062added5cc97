import type { Amount, Condition, Rule } from '../knowledge/rule';
import { definitionOf, type FindingId } from '../picture/findings';
import type { FeatureId } from '../shoe/features';

/** Findings that a condition reads. */
export function findingsIn(condition: Condition): FindingId[] {
  if ('all' in condition) return condition.all.flatMap(findingsIn);
  if ('any' in condition) return condition.any.flatMap(findingsIn);
  return 'not' in condition ? findingsIn(condition.not) : [condition.finding];
}

const bodyOnly = new WeakMap<Rule, boolean>();

/** Whether a rule's condition reads findings of the whole body only. */
export function readsBodyOnly(rule: Rule): boolean {
  const before = bodyOnly.get(rule);
  if (before !== undefined) return before;
  const only = findingsIn(rule.when).every((id) => definitionOf(id).scope === 'body');
  bodyOnly.set(rule, only);
  return only;
}

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

const made = new WeakMap<readonly Rule[], RuleIndex>();

/** Where each finding and feature is spoken of; made once a list of rules. */
export function indexOf(rules: readonly Rule[]): RuleIndex {
  const before = made.get(rules);
  if (before) return before;
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
  const index = { inOrder, byId: new Map(inOrder.map((rule) => [rule.id, rule])), byFinding, byFeature };
  made.set(rules, index);
  return index;
}

export const rulesInOrder = (rules: readonly Rule[]): readonly Rule[] => indexOf(rules).inOrder;
