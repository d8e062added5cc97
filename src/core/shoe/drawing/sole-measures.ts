import { FEATURES, type FeatureValues, type NumericFeatureId } from '../features';

/** The measures a side profile is drawn from, with a usual shoe's where a value is not known. */
export interface Sole {
  length: number;
  heel: number;
  fore: number;
  spring: number;
  apex: number;
  bevel: number;
}

/** Length of the sole that a shoe is drawn with where nothing says another, mm: about a men’s 9 UK. */
export const USUAL_LENGTH_MM = 285;

/** Soles below this are children’s: higher for their length, and round in front. Ours. */
const CHILD_BELOW_MM = 235;

/** How much of an adult’s height an upper of this length has; 1 from an adult’s length on. */
export const shareOfHeight = (lengthMm: number): number =>
  Math.min(1, Math.max(0.4, lengthMm / CHILD_BELOW_MM) ** 0.8);

/** A feature's number; where it is not known, a usual shoe's, from the vocabulary. */
export function numberOf(values: FeatureValues, id: NumericFeatureId): number {
  const value = values[id];
  return typeof value === 'number' ? value : FEATURES[id].usual;
}
