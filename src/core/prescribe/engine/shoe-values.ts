import {
  FEATURE_IDS,
  type FeatureId,
  type FeatureValue,
  type FeatureValues,
  featureOf,
} from '../../shoe/features';
import type { Specification } from './specification';

/**
 * A whole shoe to draw: what the specification wants, and a usual shoe where it wants nothing. The forefoot
 * stack follows from heel stack and drop.
 */
export function shoeValues(specification: Specification): FeatureValues {
  const values: Partial<Record<FeatureId, FeatureValue>> = {};
  for (const id of FEATURE_IDS) values[id] = featureOf(id).usual;
  for (const target of specification.targets) values[target.feature] = target.best;
  values.forefootStack = Math.max(4, Number(values.heelStack) - Number(values.drop));
  values.heelStack = Number(values.forefootStack) + Number(values.drop);
  return values;
}
