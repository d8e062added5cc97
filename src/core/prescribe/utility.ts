import { axisOf, type ChoiceFeature, type NumericFeature } from '../shoe/feature-kinds';
import type { Want } from './specification';

/** How well a value serves a want, 0 … 1: full marks inside the band, then falling with the square of the distance, nothing beyond reach. */
export function utilityAt(want: Want, value: number | string): number {
  if ('prefer' in want) return want.prefer.includes(String(value)) ? 1 : 0;
  if ('avoid' in want) return want.avoid.includes(String(value)) ? 0 : 1;
  const x = Number(value);
  const distance = Math.max(want.band.from - x, x - want.band.to, 0);
  return Math.max(0, 1 - (distance / want.reach) ** 2);
}

/** Points of a numeric feature's axis, ascending. */
export function gridOf(feature: NumericFeature): number[] {
  const { from, to, step } = axisOf(feature);
  return Array.from({ length: Math.round((to - from) / step) + 1 }, (_, index) => from + index * step);
}

/** The values on which a target of this feature is resolved. */
export const valuesOf = (feature: NumericFeature | ChoiceFeature): (number | string)[] =>
  feature.kind === 'choice' ? Object.keys(feature.options) : gridOf(feature);
