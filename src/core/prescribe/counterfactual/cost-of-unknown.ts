import { SIDES, type Side } from '../../findings/finding-kinds';
import { definitionOf, examinedFor, type FindingId } from '../../findings/findings';
import { findingAt, NOT_EXAMINED, type Picture } from '../../findings/picture';
import { RULES } from '../../knowledge/knowledge-base';
import type { Rule } from '../../knowledge/rule';
import { FEATURE_IDS, type FeatureId, featureOf } from '../../shoe/features';
import type { Specification } from '../engine/specification';

/** What leaving one finding out costs a specification. */
export interface UnknownCost {
  finding: FindingId;
  sides: Side[];
  /** Features that rules waiting for it would push. */
  features: FeatureId[];
  /** Of these, the ones it could limit: what a shoe must not be is not known there. */
  limits: FeatureId[];
  weight: number;
}

interface Waiting {
  sides: Set<Side>;
  rules: Set<string>;
  weight: number;
}

/**
 * Costs of what has not been examined, dearest first; what no rule waits for costs nothing and is not listed. A
 * derived finding stands for the examinations that it follows from and that are missing.
 */
export function costsOfUnknown(
  specification: Specification,
  picture: Picture,
  rules: readonly Rule[] = RULES,
): UnknownCost[] {
  const byId = new Map(rules.map((rule) => [rule.id, rule]));
  const waiting = new Map<FindingId, Waiting>();
  for (const question of specification.open)
    for (const side of question.sides) {
      const examined = examinedFor(question.finding);
      const missing =
        examined.length > 0
          ? examined.filter((id) => findingAt(picture, id, side) === NOT_EXAMINED)
          : [question.finding];
      for (const finding of missing) {
        const entry = waiting.get(finding) ?? { sides: new Set<Side>(), rules: new Set<string>(), weight: 0 };
        entry.sides.add(side);
        for (const rule of question.rules) entry.rules.add(rule);
        entry.weight = Math.max(entry.weight, question.weight);
        waiting.set(finding, entry);
      }
    }
  const costs = [...waiting].map(([finding, entry]): UnknownCost => {
    const features = new Set<FeatureId>();
    const limits = new Set<FeatureId>();
    for (const id of entry.rules)
      for (const wish of byId.get(id)?.wishes ?? []) {
        features.add(wish.feature);
        if ((wish.strength ?? byId.get(id)!.strength) === 'limit') limits.add(wish.feature);
      }
    const ordered = (set: ReadonlySet<FeatureId>) => FEATURE_IDS.filter((feature) => set.has(feature));
    return {
      finding,
      sides: SIDES.filter((side) => entry.sides.has(side)),
      features: ordered(features),
      limits: ordered(limits),
      weight: entry.weight,
    };
  });
  return costs.sort((a, b) => b.weight - a.weight);
}

/** `10 g monofilament, both: no limit on closure, toe-box depth; no push on drop, seams, sock and 3 more`. */
export function costInWords(cost: UnknownCost): string {
  const names = (features: readonly FeatureId[]) =>
    features.map((feature) => featureOf(feature).label.toLowerCase()).join(', ');
  const where =
    definitionOf(cost.finding).scope === 'body'
      ? ''
      : cost.sides.length === 2
        ? ', both'
        : `, ${cost.sides[0]}`;
  const waiting = cost.features.filter((feature) => !cost.limits.includes(feature));
  const parts = [
    cost.limits.length > 0 ? `no limit on ${names(cost.limits)}` : '',
    waiting.length > 0
      ? `no push on ${names(waiting.slice(0, 3))}${waiting.length > 3 ? ` and ${waiting.length - 3} more` : ''}`
      : '',
  ];
  return `${definitionOf(cost.finding).label}${where}: ${parts.filter(Boolean).join('; ')}`;
}
