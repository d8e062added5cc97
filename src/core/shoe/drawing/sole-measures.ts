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

/** A feature's number; where it is not known, a usual shoe's, from the vocabulary. */
export function numberOf(values: FeatureValues, id: NumericFeatureId): number {
  const value = values[id];
  return typeof value === 'number' ? value : FEATURES[id].usual;
}
