import { definitionOf, type FindingId } from '@/core/findings/findings';
import type { Condition, Strength, Wish } from '@/core/knowledge/rule';
import { type FeatureId, featureOf } from '@/core/shoe/features';

/** One demand on a finding as it is being written. */
export interface DemandDraft {
  key: string;
  finding: FindingId;
  /** `not` turns the demand round. */
  not: boolean;
  options: readonly string[];
  bound: 'atLeast' | 'above' | 'atMost' | 'below';
  number: string;
}

/** One wish as it is being written. */
export interface WishDraft {
  key: string;
  feature: FeatureId;
  way: 'prefer' | 'avoid';
  options: readonly string[];
  from: string;
  to: string;
  strength: '' | Strength;
}

let made = 0;
const key = (): string => {
  made += 1;
  return `row ${made}`;
};

export const emptyDemand = (): DemandDraft => ({
  key: key(),
  finding: 'activities',
  not: false,
  options: [],
  bound: 'atLeast',
  number: '',
});
export const emptyWish = (): WishDraft => ({
  key: key(),
  feature: 'closure',
  way: 'prefer',
  options: [],
  from: '',
  to: '',
  strength: '',
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
