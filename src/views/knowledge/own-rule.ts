import { z } from 'zod';
import { definitionOf, type FindingId } from '@/core/findings/findings';
import { HOUSE_TOPIC, type HouseChange } from '@/core/knowledge/house-rules';
import type { Condition, EvidenceGrade, School, Strength, Wish } from '@/core/knowledge/rule';
import { houseChangeSchema } from '@/core/prescribe/check/house-rules-schema';
import { type FeatureId, featureOf } from '@/core/shoe/features';

export const SCHOOL_NAMES: Record<School, string> = {
  shape: 'shape-led',
  comfort: 'comfort-led',
  load: 'load-led',
};

/** One demand on a finding as it is being written. */
export interface DemandDraft {
  finding: FindingId;
  /** `not` turns the demand round. */
  not: boolean;
  options: string[];
  bound: 'atLeast' | 'above' | 'atMost' | 'below';
  number: string;
}

/** One wish as it is being written. */
export interface WishDraft {
  feature: FeatureId;
  way: 'prefer' | 'avoid';
  options: string[];
  from: string;
  to: string;
  strength: '' | Strength;
}

export const emptyDemand = (): DemandDraft => ({
  finding: 'activities',
  not: false,
  options: [],
  bound: 'atLeast',
  number: '',
});
export const emptyWish = (): WishDraft => ({
  feature: 'closure',
  way: 'prefer',
  options: [],
  from: '',
  to: '',
  strength: '',
});

/** A rule as it is being written: everything as it was typed. */
export interface OwnRuleDraft {
  finding: string;
  join: 'all' | 'any';
  demands: DemandDraft[];
  wishes: WishDraft[];
  strength: Strength;
  schools: School[];
  evidence: EvidenceGrade;
  source: string;
  because: string;
  caution: string;
  contestedBy: string[];
  reason: string;
  /** Never typed: where a problem of the rule as a whole is said. */
  rule?: undefined;
}

export const emptyRule = (): OwnRuleDraft => ({
  finding: '',
  join: 'all',
  demands: [emptyDemand()],
  wishes: [emptyWish()],
  strength: 'moderate',
  schools: [],
  evidence: 'C',
  source: 'house',
  because: '',
  caution: '',
  contestedBy: [],
  reason: '',
});

/** What people type as a number, null when empty or none: the schema says what is missing. */
const numberOf = (text: string): number | undefined =>
  text.trim() === '' ? undefined : Number(text.trim().replace(',', '.'));

/** The demand as a condition; what is missing or wrong is left for the schema to say. */
export function asCondition(draft: DemandDraft): Condition {
  const definition = definitionOf(draft.finding);
  const { finding } = draft;
  const plain: Condition =
    definition.kind === 'choice'
      ? { finding, is: draft.options }
      : definition.kind === 'set'
        ? { finding, has: draft.options }
        : { finding, [draft.bound]: numberOf(draft.number) ?? Number.NaN };
  return draft.not ? { not: plain } : plain;
}

/** The wish in the shape that the knowledge has. */
export function asWish(draft: WishDraft): Wish {
  const { feature } = draft;
  const strength = draft.strength === '' ? {} : { strength: draft.strength };
  if (featureOf(feature).kind === 'choice')
    return draft.way === 'prefer'
      ? { feature, prefer: draft.options, ...strength }
      : { feature, avoid: draft.options, ...strength };
  const from = numberOf(draft.from);
  const to = numberOf(draft.to);
  return {
    feature,
    ...(from === undefined ? {} : { atLeast: from }),
    ...(to === undefined ? {} : { atMost: to }),
    ...strength,
  };
}

/** `Works on wet decks` → `house-works-on-wet-decks`. */
const idOf = (finding: string): string =>
  `house-${
    finding
      .toLowerCase()
      .normalize('NFD')
      .replace(/\p{M}/gu, '')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 50) || 'rule'
  }`;

/** The draft as a departure, in the shape that the knowledge has; not yet checked. */
const asChange = (draft: OwnRuleDraft): unknown => ({
  kind: 'own',
  reason: draft.reason,
  rule: {
    id: idOf(draft.finding),
    topic: HOUSE_TOPIC,
    finding: draft.finding,
    when: { [draft.join]: draft.demands.map(asCondition) },
    wishes: draft.wishes.map(asWish),
    strength: draft.strength,
    schools: draft.schools,
    evidence: draft.evidence,
    sources: [draft.source],
    because: draft.because,
    ...(draft.caution.trim() ? { caution: draft.caution } : {}),
    ...(draft.contestedBy.length > 0 ? { contestedBy: draft.contestedBy } : {}),
  },
});

/** Fields of the form by what the rule calls them, where the two differ. */
const FIELD: Readonly<Record<string, string>> = { when: 'demands' };

/** The form’s own schema: the rule it makes is checked as a rule, and what is wrong is said at its field. */
export const ownRuleFormSchema: z.ZodType<HouseChange, OwnRuleDraft> = z
  .custom<OwnRuleDraft>()
  .transform((draft, context) => {
    const read = houseChangeSchema.safeParse(asChange(draft));
    if (read.success) return read.data;
    for (const { path, message } of read.error.issues) {
      const field = String(path[1] ?? path[0]);
      context.addIssue({ code: 'custom', message, path: [FIELD[field] ?? field] });
    }
    return z.NEVER;
  });
