import type { HouseChange } from '../knowledge/house-rules';
import type { Rule, Strength } from '../knowledge/rule';
import { type Proportion, wilson } from '../statistics/wilson';

/** How a rule fared in this clinic. */
export interface RuleRecord {
  rule: string;
  /** Issued specifications that it pushed, and those in which it was set aside or its target overruled. */
  spoke: number;
  overruled: number;
  /** Of pairs in which it was followed and comfort was taken twice: really worse. */
  worse: Proportion;
}

/** Something for the lead to think about: a change of a rule that the clinic's own record speaks for. */
export interface Proposal {
  rule: string;
  because: 'overruled' | 'worse';
  evidence: string;
  /** What could be put in force; null where the rule is a limit, which nobody proposes to loosen. */
  change: Extract<HouseChange, { kind: 'off' | 'strength' }> | null;
}

/** A rule is proposed from this many specifications on, once it is surely overruled in more than the first share; in more than the second it may go. Ours. */
const FROM = { spoke: 6, weaken: 0.25, off: 0.5 } as const;
/** Comfort that is really worse is held against all other pairs from so many on. Ours. */
const FROM_PAIRS = 10;

const WEAKER: Readonly<Record<Exclude<Strength, 'limit'>, Strength | null>> = {
  strong: 'moderate',
  moderate: 'slight',
  slight: null,
};

const percent = (share: number): string => `${Math.round(share * 100)} %`;

function changeOf(rule: Rule, mayGo: boolean, reason: string): Proposal['change'] {
  // A limit guards somebody: what the record says of it is shown, and no looser one is proposed.
  if (rule.strength === 'limit') return null;
  const weaker = WEAKER[rule.strength];
  return mayGo || weaker === null
    ? { kind: 'off', rule: rule.id, reason }
    : { kind: 'strength', rule: rule.id, strength: weaker, reason };
}

/**
 * Rules that this clinic overrules often, or after which pairs fare worse than its others. Nothing changes by itself: each is a proposal
 * with its evidence, for the lead to take into the draft of house rules or to leave.
 *
 * @param rules in force
 * @param all comfort really worse among all pairs of the clinic
 */
export function proposeChanges(
  rules: readonly Rule[],
  records: readonly RuleRecord[],
  all: Proportion,
): Proposal[] {
  const byId = new Map(rules.map((rule) => [rule.id, rule]));
  return records
    .flatMap((record): (Proposal & { weight: number })[] => {
      const rule = byId.get(record.rule);
      if (!rule) return [];
      const against = wilson(record.overruled, record.spoke);
      const overruled = record.spoke >= FROM.spoke && against.from >= FROM.weaken;
      if (overruled) {
        const evidence = `Overruled in ${record.overruled} of ${record.spoke} prescriptions (${percent(against.from)} to ${percent(against.to)}).`;
        const change = changeOf(rule, against.from >= FROM.off, evidence);
        return [{ rule: rule.id, because: 'overruled', evidence, change, weight: against.from }];
      }
      const { worse } = record;
      const others = wilson(all.count - worse.count, all.of - worse.of);
      if (worse.of < FROM_PAIRS || others.of < FROM_PAIRS || worse.from <= others.to) return [];
      const evidence = `Of ${worse.of} pairs in which it was followed, comfort got really worse in ${worse.count} (${percent(worse.from)} to ${percent(worse.to)}); of the clinic’s others in ${others.count} of ${others.of}. Observational: who got it was not left to chance.`;
      return [
        {
          rule: rule.id,
          because: 'worse',
          evidence,
          change: changeOf(rule, false, evidence),
          weight: worse.from,
        },
      ];
    })
    .toSorted((a, b) => b.weight - a.weight || (a.rule < b.rule ? -1 : 1))
    .map(({ weight: _, ...proposal }) => proposal);
}
