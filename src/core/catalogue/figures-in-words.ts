import { type FeatureId, type FeatureValue, printFeature } from '../shoe/features';
import type { ShoeModel } from './model';

/** The figures by which people tell two shoes apart that serve alike: `drop 6 mm, stack 25/19 mm, 320 g`; only what is stated. */
export function figuresInWords({ features }: Pick<ShoeModel, 'features'>): string {
  const { drop, heelStack, forefootStack, mass } = features;
  const said = (id: FeatureId, value: FeatureValue | undefined, before = '') =>
    value === undefined ? [] : [`${before}${printFeature(id, value)}`];
  const stack =
    heelStack !== undefined && forefootStack !== undefined
      ? [`stack ${heelStack}/${printFeature('forefootStack', forefootStack)}`]
      : said('heelStack', heelStack, 'heel stack ');
  return [...said('drop', drop, 'drop '), ...stack, ...said('mass', mass)].join(', ');
}
