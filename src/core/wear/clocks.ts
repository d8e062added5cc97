import type { FEATURES, FeatureValues } from '../shoe/features';
import { normalBelow } from '../statistics/normal';
import { isKeyOf, keysOf } from '../tables/keys-of';
import { milesToKm } from '../units/distance';
import {
  fromRange,
  LIFE_SCHOOLS,
  type LifeDistribution,
  type LifeSchool,
  RACED_ONLY_KM,
  RACING_MILES,
} from './life-schools';

export type Use = keyof (typeof FEATURES)['use']['options'];

/** What a pair's life is counted in. */
export const CLOCKS = {
  km: { label: 'kilometres', unit: 'km' },
  hours: { label: 'hours of play or training', unit: 'h' },
  'hours-on-feet': { label: 'hours on the feet', unit: 'h' },
  'days-worn': { label: 'days worn', unit: 'days' },
} as const;
export type Clock = keyof typeof CLOCKS;

/** The clock that each use has. Common practice: distance where one walks or runs, hours in court and gym, days where it is worn. */
export const CLOCK_OF_USE: Readonly<Record<Use, Clock>> = {
  'road-running': 'km',
  racing: 'km',
  trail: 'km',
  walking: 'km',
  hiking: 'km',
  court: 'hours',
  'indoor-court': 'hours',
  gym: 'hours',
  lifting: 'days-worn',
  work: 'hours-on-feet',
  safety: 'hours-on-feet',
  dress: 'days-worn',
  house: 'days-worn',
  everyday: 'days-worn',
  therapeutic: 'days-worn',
  'post-operative': 'days-worn',
};

/** A stated life: who says it, so that what nobody stated is known as ours. */
export interface PriorLife {
  clock: Clock;
  life: LifeDistribution;
  from: 'practice' | 'ours';
}

/**
 * Lives that nobody states, as the middle 80 % of pairs in their own clock: ours, and wide on purpose. A clinic's own retired
 * pairs narrow them.
 */
const UNSTATED: Readonly<
  Record<Exclude<Use, 'road-running' | 'racing' | 'trail' | 'walking' | 'hiking'>, readonly [number, number]>
> = {
  court: [40, 220],
  'indoor-court': [50, 260],
  gym: [80, 500],
  lifting: [300, 2500],
  work: [700, 3200],
  safety: [800, 4000],
  dress: [120, 1200],
  house: [150, 1000],
  everyday: [150, 800],
  therapeutic: [150, 700],
  'post-operative': [20, 150],
};

/** How a racing pair is used: raced only, or trained in as well. */
export type RacingUse = 'raced-only' | 'also-trained';

/**
 * How long pairs of a use last, before anything is known of this one. Distances are those that practitioners state; walking and
 * hiking pairs are counted like trainers, which is ours.
 */
export function priorLifeOf(use: Use, school: LifeSchool, racing: RacingUse = 'also-trained'): PriorLife {
  if (use === 'racing') {
    const [low, high] =
      racing === 'raced-only'
        ? RACED_ONLY_KM
        : ([milesToKm(RACING_MILES[0]), milesToKm(RACING_MILES[1])] as const);
    return { clock: 'km', life: fromRange(low, high), from: 'practice' };
  }
  if (use === 'road-running' || use === 'trail' || use === 'walking' || use === 'hiking') {
    const stated = LIFE_SCHOOLS[school];
    const [low, high] = stated.miles;
    const median = 'median' in stated ? milesToKm(stated.median) : undefined;
    return {
      clock: 'km',
      life: fromRange(milesToKm(low), milesToKm(high), median),
      from: use === 'road-running' ? 'practice' : 'ours',
    };
  }
  const [low, high] = UNSTATED[use];
  return { clock: CLOCK_OF_USE[use], life: fromRange(low, high), from: 'ours' };
}

/** Foam ages even unused: the middle 80 % in years since it was made. About two years is often said, recalled with 55 %; the width is ours. */
export const SHELF_YEARS = fromRange(2, 5);

/** Uses whose life is in their foam; a dress or lifting sole does not age on the shelf so. */
const IN_FOAM: ReadonlySet<Use> = new Set(
  keysOf(CLOCK_OF_USE).filter((use) => use !== 'dress' && use !== 'lifting' && use !== 'house'),
);
export const agesOnTheShelf = (use: Use): boolean => IN_FOAM.has(use);

/** Chance that a pair with such a life is used up after some amount of its clock. */
export const usedUpAfter = ({ median, sigma }: LifeDistribution, amount: number): number =>
  amount <= 0 ? 0 : normalBelow(Math.log(amount / median) / sigma);

/** What a model is for; one that nobody says is worn every day. */
export function madeForUse(features: FeatureValues): Use {
  const use = String(features.use ?? 'everyday');
  return isKeyOf(CLOCK_OF_USE, use) ? use : 'everyday';
}
