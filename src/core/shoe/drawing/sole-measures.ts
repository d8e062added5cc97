import type { FeatureValues } from '../features';

/** The measures a side profile is drawn from, with a usual shoe's where a value is not known. */
export interface Sole {
  length: number;
  heel: number;
  fore: number;
  spring: number;
  apex: number;
  bevel: number;
}

/** A feature's number, or a usual shoe's where it is not known. */
export const numberOf = (values: FeatureValues, id: keyof FeatureValues, usual: number): number => {
  const value = values[id];
  return typeof value === 'number' ? value : usual;
};
