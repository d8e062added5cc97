import type { FindingId } from '../findings/findings';
import type { FeatureId } from '../shoe/features';
import type { Cut } from './ours';

/** When a rule speaks. Evaluated per side with three answers: yes, no, unknown. */
export type Condition =
  | { finding: FindingId; is: string | readonly string[] }
  | { finding: FindingId; has: string | readonly string[] }
  | {
      finding: FindingId;
      atLeast?: number;
      below?: number;
      above?: number;
      atMost?: number;
      /** Width over which the condition comes to hold, where nobody published the cut-off: it is ours. */
      over?: number;
    }
  | { all: readonly Condition[] }
  | { any: readonly Condition[] }
  | { not: Condition };

/**
 * A number, or one taken from the picture (the greater of the feet on which the rule speaks): with an addition, or along a
 * line through points, level beyond its ends.
 */
export type Amount =
  | number
  | { finding: FindingId; plus?: number }
  | { finding: FindingId; along: readonly (readonly [found: number, wanted: number])[] };

/**
 * What a rule wants of one feature: a utility over its scale. A band falls off with distance until its reach; a
 * curve gives the utility (0 … 1) at points, straight between them; options are preferred, graded or avoided.
 */
export type Wish =
  | { feature: FeatureId; atLeast?: Amount; atMost?: Amount; reach?: number; strength?: Strength }
  | { feature: FeatureId; curve: readonly (readonly [value: number, utility: number])[]; strength?: Strength }
  | { feature: FeatureId; prefer: readonly string[]; strength?: Strength }
  | { feature: FeatureId; worth: Readonly<Record<string, number>>; strength?: Strength }
  | { feature: FeatureId; avoid: readonly string[]; strength?: Strength };

export type Strength = 'limit' | 'strong' | 'moderate' | 'slight';

/** Camps among practitioners. A rule of no camp is held by all. */
export type School = 'shape' | 'comfort' | 'load';

/** A: guideline or trial. B: cohort, single small trial or laboratory. C: common practice. */
export type EvidenceGrade = 'A' | 'B' | 'C';

export interface Rule {
  id: string;
  topic: string;
  /** The finding in words. */
  finding: string;
  when: Condition;
  wishes: readonly Wish[];
  /** Of every wish that does not carry its own. */
  strength: Strength;
  /** Empty: every school. */
  schools: readonly School[];
  evidence: EvidenceGrade;
  /** Ids from `sources`, never empty: common practice and the clinic itself are named as such. */
  sources: readonly string[];
  because: string;
  caution?: string;
  /** Rules that say otherwise of the same finding. */
  contestedBy?: readonly string[];
}

/** A rule as its topic's file writes it: the topic is the file's, and without schools every school holds it. */
export type RuleText = Omit<Rule, 'topic' | 'schools'> & { schools?: readonly School[] };

/** All rules of one topic. */
export const topic = (name: string, rules: readonly RuleText[]): readonly Rule[] =>
  rules.map((rule) => ({ ...rule, topic: name, schools: rule.schools ?? [] }));

export const is = (finding: FindingId, value: string | readonly string[]): Condition => ({
  finding,
  is: value,
});
export const has = (finding: FindingId, value: string | readonly string[]): Condition => ({
  finding,
  has: value,
});
/** Where a number begins to count: a published cut-off as it is, one of ours with the width over which it comes in. */
type At = number | Cut;
const cutAt = (at: At): { value: number; over?: number } =>
  typeof at === 'number' ? { value: at } : { value: at.at, over: at.over };
const numeric = (finding: FindingId, edge: 'atLeast' | 'atMost' | 'below' | 'above', at: At): Condition => {
  const { value, over } = cutAt(at);
  return { finding, [edge]: value, ...(over === undefined ? {} : { over }) };
};
export const atLeast = (finding: FindingId, at: At): Condition => numeric(finding, 'atLeast', at);
export const atMost = (finding: FindingId, at: At): Condition => numeric(finding, 'atMost', at);
export const below = (finding: FindingId, at: At): Condition => numeric(finding, 'below', at);
export const above = (finding: FindingId, at: At): Condition => numeric(finding, 'above', at);
/** Whether a rule rests on a number that nobody published and that the clinic may set. */
export const isOurs = (rule: Pick<Rule, 'when' | 'wishes'>): boolean =>
  hasOwnCut(rule.when) ||
  rule.wishes.some(
    (wish) =>
      ('atLeast' in wish || 'atMost' in wish) &&
      [wish.atLeast, wish.atMost].some((end) => typeof end === 'object' && 'along' in end),
  );

const hasOwnCut = (condition: Condition): boolean => {
  if ('all' in condition) return condition.all.some(hasOwnCut);
  if ('any' in condition) return condition.any.some(hasOwnCut);
  if ('not' in condition) return hasOwnCut(condition.not);
  return 'over' in condition && condition.over !== undefined;
};

export const all = (...conditions: Condition[]): Condition => ({ all: conditions });
export const any = (...conditions: Condition[]): Condition => ({ any: conditions });
export const not = (condition: Condition): Condition => ({ not: condition });
