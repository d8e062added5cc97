import type { FindingId } from '@/core/findings/findings';
import type { Rule } from '@/core/knowledge/rule';
import { findingsOfRule, indexOf } from '@/core/prescribe/engine/rule-index';
import type { Target } from '@/core/prescribe/engine/specification';

export { prescribeFor } from '@/core/visit/read-visit';

/** Findings that a target rests on, so that the work area can show them. */
export function findingsBehind(target: Target, rules: readonly Rule[]): ReadonlySet<FindingId> {
  const { byId } = indexOf(rules);
  return new Set(
    target.pushes.flatMap((push) => {
      const rule = byId.get(push.rule);
      return rule ? findingsOfRule(rule) : [];
    }),
  );
}
