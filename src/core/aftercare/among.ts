import { type FeatureId, type FeatureValues, featureOf } from '../shoe/features';
import { madeForUse } from '../wear/clocks';

/** A shoe between soft and firm under the heel, and between bending easily and stiff: each 0 to 1. */
export interface AmongPlace {
  firm: number;
  stiff: number;
}

/** A pair among others that are made for the same. */
export interface AmongKinds {
  pair: AmongPlace;
  others: AmongPlace[];
}

/** All that is read of the others. */
export const READ_OF_OTHERS = [
  'use',
  'heelCushioning',
  'forefootStiffness',
] as const satisfies readonly FeatureId[];

/** Shoes that a small picture can hold. */
const MOST_OTHERS = 40;

const inShare = (feature: 'heelCushioning' | 'forefootStiffness', values: FeatureValues): number | null => {
  const value = values[feature];
  const definition = featureOf(feature);
  if (typeof value !== 'number' || definition.kind !== 'grade') return null;
  return Math.min(1, Math.max(0, (value - 1) / (definition.anchors.length - 1)));
};

function placeOf(values: FeatureValues): AmongPlace | null {
  const soft = inShare('heelCushioning', values);
  const stiff = inShare('forefootStiffness', values);
  return soft === null || stiff === null ? null : { firm: 1 - soft, stiff };
}

/** Where a pair stands among the shoes of its use; null where it is not known well enough, or there is nothing to hold it against. */
export function amongKinds(values: FeatureValues, shoes: readonly FeatureValues[]): AmongKinds | null {
  const pair = placeOf(values);
  const use = madeForUse(values);
  const places = shoes.filter((shoe) => madeForUse(shoe) === use).flatMap((shoe) => placeOf(shoe) ?? []);
  // Shoes at one place are one dot.
  const others = [...new Map(places.map((place) => [`${place.firm} ${place.stiff}`, place])).values()].slice(
    0,
    MOST_OTHERS,
  );
  return pair && others.length > 1 ? { pair, others } : null;
}
