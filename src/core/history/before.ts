import type { NumberFindingId } from '../findings/findings';
import type { Findings } from '../findings/picture';
import { memoize } from '../memo/memoize';
import type { FeatureId, FeatureValues, NumericFeatureId } from '../shoe/features';
import { keysOf } from '../tables/keys-of';

interface Said {
  label: string;
  feature: NumericFeatureId;
  finding: NumberFindingId;
}

const said = (label: string, feature: NumericFeatureId, finding: NumberFindingId): Said => ({
  label,
  feature,
  finding,
});

/** What was good about a pair, the feature that it speaks of, and the finding that follows. */
export const GOOD = {
  comfortable: said('comfortable', 'midsoleHardness', 'servedHardness'),
  held: said('held the heel', 'heelCounter', 'servedCounter'),
  room: said('room for the toes', 'width', 'servedWidth'),
  light: said('light', 'mass', 'servedMass'),
  lasted: said('lasted', 'outsoleHardness', 'servedOutsole'),
} as const satisfies Record<string, Said>;

/** What was bad about a pair; `more` where the next one needs more of the feature. */
export const BAD = {
  soft: { ...said('too soft', 'midsoleHardness', 'tooSoftAt'), more: true },
  firm: { ...said('too firm', 'midsoleHardness', 'tooFirmAt'), more: false },
  narrow: { ...said('too narrow', 'width', 'tooNarrowAt'), more: true },
  wide: { ...said('too wide', 'width', 'tooWideAt'), more: false },
  shallow: { ...said('pressed on the toes', 'toeBoxDepth', 'tooShallowAt'), more: true },
  stiff: { ...said('too stiff', 'forefootStiffness', 'tooStiffAt'), more: false },
  flexible: { ...said('bent too easily', 'forefootStiffness', 'tooFlexibleAt'), more: true },
  heavy: { ...said('too heavy', 'mass', 'tooHeavyAt'), more: false },
  high: { ...said('unsteady, too high', 'heelStack', 'tooHighAt'), more: false },
  slipped: { ...said('heel slipped', 'heelCounter', 'slippedAt'), more: true },
  arch: { ...said('pressed the arch', 'archContour', 'archPressedAt'), more: false },
  'wore-out': { ...said('sole wore out soon', 'outsoleHardness', 'woreOutAt'), more: true },
} as const satisfies Record<string, Said & { more: boolean }>;

export type GoodId = keyof typeof GOOD;
export type BadId = keyof typeof BAD;

/** A pair of earlier years that served or failed. */
export interface PairBefore {
  id: string;
  verdict: 'served' | 'failed';
  /** Absent where the catalogue does not know the model. */
  model?: string | undefined;
  title: string;
  /** How long it was worn, months. */
  months?: number | undefined;
  good?: readonly GoodId[] | undefined;
  bad?: readonly BadId[] | undefined;
  /** What the model had on the day on which it was named. */
  values?: FeatureValues | undefined;
}

const numberOf = (values: FeatureValues | undefined, feature: FeatureId): number[] => {
  const value = values?.[feature];
  return typeof value === 'number' ? [value] : [];
};
const mean = (values: readonly number[]): number =>
  Math.round((values.reduce((sum, value) => sum + value, 0) / values.length) * 100) / 100;

function fromBefore(pairs: readonly PairBefore[]): Findings {
  const found: Partial<Record<NumberFindingId, number>> = {};
  const served = pairs.filter(({ verdict }) => verdict === 'served');
  const months = served.flatMap((pair) => pair.months ?? []);
  if (months.length > 0) found.servedMonths = Math.max(...months);
  const drops = served.flatMap(({ values }) => numberOf(values, 'drop'));
  if (drops.length > 0) found.servedDrop = mean(drops);
  for (const id of keysOf(GOOD)) {
    const { feature, finding } = GOOD[id];
    const had = pairs
      .filter(({ good }) => good?.includes(id))
      .flatMap(({ values }) => numberOf(values, feature));
    if (had.length > 0) found[finding] = mean(had);
  }
  for (const id of keysOf(BAD)) {
    const { feature, finding, more } = BAD[id];
    const had = pairs
      .filter(({ bad }) => bad?.includes(id))
      .flatMap(({ values }) => numberOf(values, feature));
    // Of several that were too little, the one that had most is the least that will not do; and the other way round.
    if (had.length > 0) found[finding] = more ? Math.max(...had) : Math.min(...had);
  }
  return Object.keys(found).length === 0 ? {} : { body: found };
}

/**
 * What follows from pairs that served or failed: of a pair that served its drop and what was praised, of any pair what was
 * found wrong. A pair that the catalogue does not know, or whose value nobody states, says nothing here.
 */
export const findingsOfBefore = memoize(fromBefore);

/** Features of a model that are kept with a pair that is named: what its praise and its faults speak of, and how it felt. */
const KEPT: readonly FeatureId[] = [
  'drop',
  'heelStack',
  'midsoleHardness',
  'heelCushioning',
  'heelCounter',
  'torsionalStiffness',
  'medialSupport',
  'forefootStiffness',
  'mass',
  'width',
  'toeBoxDepth',
  'archContour',
  'outsoleHardness',
];

export const valuesToKeep = (features: FeatureValues): FeatureValues =>
  Object.fromEntries(KEPT.flatMap((id) => (features[id] === undefined ? [] : [[id, features[id]]])));
