import { keysOf } from '../tables/keys-of';
import { printIn } from '../units/parse';
import type { FeatureDefinition } from './feature-kinds';
import { FOOT_FEATURES } from './vocabulary/each-foot';
import { FOREFOOT_FEATURES } from './vocabulary/forefoot';
import { HEEL_FEATURES } from './vocabulary/heel-and-sides';
import { HEIGHT_FEATURES } from './vocabulary/heights';
import { SOLE_FEATURES } from './vocabulary/sole';
import { UPPER_FEATURES } from './vocabulary/upper';
import { USE_FEATURES } from './vocabulary/use-and-fit';

/**
 * One vocabulary for prescriptions (targets), the catalogue (what a model has), bench tests (what was measured)
 * and the drawing. Typical values are common practice.
 */
export const FEATURES = {
  ...HEIGHT_FEATURES,
  ...SOLE_FEATURES,
  ...HEEL_FEATURES,
  ...FOREFOOT_FEATURES,
  ...UPPER_FEATURES,
  ...USE_FEATURES,
  ...FOOT_FEATURES,
} as const satisfies Record<string, FeatureDefinition>;

export type FeatureId = keyof typeof FEATURES;
/** Features with a number: a quantity or a grade. */
export type NumericFeatureId = {
  [K in FeatureId]: (typeof FEATURES)[K]['kind'] extends 'choice' ? never : K;
}[FeatureId];
export const FEATURE_IDS = keysOf(FEATURES);
export const featureOf = (id: FeatureId): FeatureDefinition => FEATURES[id];
export const isFeatureId = (id: string): id is FeatureId => Object.hasOwn(FEATURES, id);

/** Features that each shoe of a pair has for itself; all others are one for both. */
export const isPerFoot = (id: FeatureId): boolean => Object.hasOwn(FOOT_FEATURES, id);

/** What a model has: a number on a numeric feature's axis, an option of a choice; absent is unknown. */
export type FeatureValue = number | string;
export type FeatureValues = { readonly [K in FeatureId]?: FeatureValue };

/** The anchor nearest to a grade. */
export const gradeName = (anchors: readonly string[], grade: number): string =>
  anchors[Math.min(anchors.length, Math.max(1, Math.round(grade))) - 1]!;

/** A grade in words; one that lies half-way names both neighbours. */
function betweenGrades(anchors: readonly string[], grade: number): string {
  const share = grade - Math.floor(grade);
  const halfway = share > 0.3 && share < 0.7 && grade > 1 && grade < anchors.length;
  return halfway
    ? `${anchors[Math.floor(grade) - 1]} to ${anchors[Math.ceil(grade) - 1]}`
    : gradeName(anchors, grade);
}

/** A value as people read it: `8 mm`, `firm`, `hook-and-loop`. */
export function printFeature(id: FeatureId, value: FeatureValue): string {
  const feature = featureOf(id);
  if (feature.kind === 'choice') return feature.options[String(value)] ?? String(value);
  if (feature.kind === 'grade') return betweenGrades(feature.anchors, Number(value));
  return printIn(feature.unit, Number(value));
}
