import { memoize } from '../memo/memoize';
import type { FeatureId, FeatureValues } from '../shoe/features';
import { keysOf } from '../tables/keys-of';

/** How a shoe feels: axes on which a wearer tells two shoes apart, each built from features in steps that are felt. */
export const FEEL_AXES = {
  firmness: { more: 'firmer', less: 'softer' },
  structure: { more: 'more structured', less: 'less structured' },
  height: { more: 'higher off the ground', less: 'lower to the ground' },
  drop: { more: 'higher in the heel', less: 'lower in the heel' },
  weight: { more: 'heavier', less: 'lighter' },
  stiffness: { more: 'stiffer to bend', less: 'easier to bend' },
} as const;
export type FeelAxis = keyof typeof FEEL_AXES;
export const FEEL_AXIS_IDS = keysOf(FEEL_AXES);

/** Features of an axis with the step that a wearer feels; a minus turns the sense. Common practice. */
const PARTS: Record<FeelAxis, readonly (readonly [FeatureId, number])[]> = {
  firmness: [
    ['midsoleHardness', 1],
    ['heelCushioning', -1],
  ],
  structure: [
    ['heelCounter', 1],
    ['torsionalStiffness', 1],
  ],
  height: [['heelStack', 6]],
  drop: [['drop', 3]],
  weight: [['mass', 50]],
  stiffness: [['forefootStiffness', 1]],
};

/** What medial support adds to structure, in felt steps. Common practice. */
const SUPPORT: Record<string, number> = { none: 0, foam: 0.5, rail: 1, post: 1.5 };

/** A place on an axis, in felt steps; null where none of its features is known. */
export function feelOf(shoe: FeatureValues, axis: FeelAxis): number | null {
  const known = PARTS[axis].flatMap(([feature, step]) => {
    const value = shoe[feature];
    return value === undefined ? [] : [Number(value) / step];
  });
  if (known.length === 0) return null;
  const mean = known.reduce((sum, value) => sum + value, 0) / known.length;
  return axis === 'structure' ? mean + (SUPPORT[String(shoe.medialSupport ?? 'none')] ?? 0) : mean;
}

export type FeelDifference = Partial<Record<FeelAxis, number>>;

/** Places of a shoe on every axis; a model is held against many others. */
const placesOn = memoize((shoe: FeatureValues) => FEEL_AXIS_IDS.map((axis) => feelOf(shoe, axis)));

/** How the second differs from the first, axis by axis, in felt steps; an axis unknown in either is left out. */
export function feelDifference(first: FeatureValues, second: FeatureValues): FeelDifference {
  const here = placesOn(first);
  const there = placesOn(second);
  const difference: FeelDifference = {};
  for (const [at, axis] of FEEL_AXIS_IDS.entries()) {
    const a = here[at] ?? null;
    const b = there[at] ?? null;
    if (a !== null && b !== null) difference[axis] = b - a;
  }
  return difference;
}

/** From here a difference on one axis is felt and worth naming. */
export const FELT = 0.5;
/** No axis counts for more than this in the whole. */
const MOST_OF_ONE = 2;

/** How unlike two shoes feel in all, in felt steps. */
export const dissimilarity = (difference: FeelDifference): number =>
  Object.values(difference).reduce((sum, steps) => sum + Math.min(MOST_OF_ONE, Math.abs(steps)), 0);

/** The largest differences in words: `softer, lighter`. Empty where none is felt. */
export function differenceInWords(difference: FeelDifference, most = 3): string {
  return FEEL_AXIS_IDS.map((axis) => ({ axis, steps: difference[axis] ?? 0 }))
    .filter(({ steps }) => Math.abs(steps) >= FELT)
    .toSorted((a, b) => Math.abs(b.steps) - Math.abs(a.steps))
    .slice(0, most)
    .map(({ axis, steps }) => {
      const { more, less } = FEEL_AXES[axis];
      const word = steps > 0 ? more : less;
      return Math.abs(steps) >= MOST_OF_ONE ? `much ${word}` : word;
    })
    .join(', ');
}
