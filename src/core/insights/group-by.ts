import { quantileSorted } from 'simple-statistics';
import { SCHOOL_CHOICES, type SchoolChoice } from '../knowledge/schools';
import { type FeatureId, type FeatureValues, featureOf } from '../shoe/features';
import type { Choices } from '../visit/contents';
import { madeForUse } from '../wear/clocks';

/** What pairs are counted among. */
export const INSIGHT_GROUPS = {
  use: 'what they are for',
  model: 'model',
  maker: 'maker',
  school: 'school of prescribing',
  rule: 'rule that spoke and was followed',
  decision: 'what the clinician decided otherwise',
  feature: 'a feature',
} as const;
export type InsightGroup = keyof typeof INSIGHT_GROUPS;

/** Groups of which one pair may be in several: they are not held against each other. */
export const OVERLAPS: ReadonlySet<InsightGroup> = new Set(['decision', 'rule']);

/** A pair as it is sorted into groups. */
export interface GroupedPair {
  maker: string;
  name: string;
  features: FeatureValues;
  /** Null where it was not issued here. */
  school: SchoolChoice | null;
  choices: Pick<Choices, 'setAside' | 'decisions'> | null;
  /** Rules that pushed its specification, and those of them that were overruled; null where it was not issued here. */
  spoke: readonly string[] | null;
  overruled: readonly string[] | null;
}

const UNKNOWN = 'not known';

function useOf({ features }: GroupedPair): string {
  const definition = featureOf('use');
  const use = madeForUse(features);
  return definition.kind === 'choice' ? (definition.options[use] ?? use) : use;
}

/** Rules that spoke for a pair and were followed, by their names. */
export function followedIn({ spoke, overruled }: Pick<GroupedPair, 'spoke' | 'overruled'>): string[] {
  if (spoke === null) return [UNKNOWN];
  const against = new Set(overruled ?? []);
  return spoke.filter((rule) => !against.has(rule));
}

const DECIDED = { pin: 'pinned', loosen: 'loosened', overrule: 'overruled' } as const;

/** What was decided otherwise than the rules said, each once; else that nothing was. */
function decisionsOf({ choices }: GroupedPair): string[] {
  if (choices === null) return [UNKNOWN];
  const said = [
    ...(choices.setAside ?? []).map(({ rule }) => `set aside: ${rule}`),
    ...(choices.decisions ?? []).map(({ feature, kind }) => `${DECIDED[kind]}: ${featureOf(feature).label}`),
  ];
  return said.length === 0 ? ['as the rules said'] : [...new Set(said)];
}

/** Names of a feature’s groups: each option, or thirds of what the pairs have, so that none is empty. */
function featureGroups(id: FeatureId, pairs: readonly GroupedPair[]): (pair: GroupedPair) => string {
  const definition = featureOf(id);
  if (definition.kind === 'choice')
    return ({ features }) => {
      const value = features[id];
      return typeof value === 'string' ? (definition.options[value] ?? value) : UNKNOWN;
    };
  const numbers = pairs
    .flatMap(({ features }) => {
      const value = features[id];
      return typeof value === 'number' ? [value] : [];
    })
    .toSorted((a, b) => a - b);
  if (numbers.length === 0) return () => UNKNOWN;
  const low = quantileSorted(numbers, 1 / 3);
  const high = quantileSorted(numbers, 2 / 3);
  const said = (value: number) => `${Math.round(value * 10) / 10}`;
  return ({ features }) => {
    const value = features[id];
    if (typeof value !== 'number') return UNKNOWN;
    if (value <= low) return `${definition.label} up to ${said(low)}`;
    return value <= high
      ? `${definition.label} over ${said(low)} to ${said(high)}`
      : `${definition.label} over ${said(high)}`;
  };
}

/**
 * Into which groups each pair goes.
 *
 * @param feature that pairs are told apart by, where they are by one
 */
export function groupingOf(
  by: InsightGroup,
  feature: FeatureId,
  pairs: readonly GroupedPair[],
): (pair: GroupedPair) => string[] {
  switch (by) {
    case 'use':
      return (pair) => [useOf(pair)];
    case 'model':
      return ({ maker, name }) => [`${maker} ${name}`];
    case 'maker':
      return ({ maker }) => [maker];
    case 'school':
      return ({ school }) => [school === null ? UNKNOWN : SCHOOL_CHOICES[school].label];
    case 'rule':
      return followedIn;
    case 'decision':
      return decisionsOf;
    case 'feature': {
      const groupOf = featureGroups(feature, pairs);
      return (pair) => [groupOf(pair)];
    }
  }
}
