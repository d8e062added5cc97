import type { ShoeModel } from '../../catalogue/model';
import { madeForUse, priorLifeOf, type RacingUse } from '../clocks';
import { COUNT_ERROR } from '../count-error';
import { type LifeDistribution, type LifeSchool, lifeQuantile } from '../life-schools';
import type { RetiredBecause } from '../retired';
import type { VersionLife } from './learn-life';
import { learnLives } from './learn-life';
import { factorsOf, foamOf, type WearConditions } from './life-factors';
import { lifePriors } from './life-priors';
import type { LifeObservation, PairFamily } from './pair-family';

/** What a clinic knows of a pair that it handed over. */
export interface KnownPair {
  model: Pick<ShoeModel, 'maker' | 'name' | 'version' | 'features'>;
  racing?: RacingUse | undefined;
  conditions: WearConditions;
  /** In the unit of its clock. */
  used: number;
  by: 'log' | 'stated';
  /** null: in use. */
  endedBecause: RetiredBecause | null;
  /** The last look at it, and whether it was taken for spent then; null where nobody looked, or nobody could tell. */
  lastLook: { used: number; isSpent: boolean } | null;
}

/** A model's family, as lives are learned by it. */
export const familyOf = ({ maker, name, version, features }: KnownPair['model']): PairFamily => ({
  maker,
  model: name,
  version,
  use: madeForUse(features),
  foam: foamOf(features),
});

/**
 * How far a pair is known to have lasted. Whoever goes on wearing a pair has not thereby shown that it lasts: without a look it
 * counts as sound only as far as nearly all such pairs are; after a look as far as it was found sound, and as worn out where it
 * was taken for spent.
 */
function knownLife(
  { used, endedBecause, lastLook }: KnownPair,
  life: LifeDistribution,
): { amount: number; isWornOut: boolean } {
  if (endedBecause === 'worn-out') return { amount: used, isWornOut: true };
  if (lastLook?.isSpent) return { amount: lastLook.used, isWornOut: true };
  return {
    amount: Math.min(used, Math.max(lastLook?.used ?? 0, lifeQuantile(life, 0.1))),
    isWornOut: false,
  };
}

/** A pair as the learning sees it; null where nobody knows how much it was used. Only what was worn out has ended its life. */
export function observationOf(pair: KnownPair, school: LifeSchool): LifeObservation | null {
  const { model, racing, conditions, used, by } = pair;
  if (!(used > 0)) return null;
  const family = familyOf(model);
  const { life } = priorLifeOf(family.use, school, racing);
  const { amount, isWornOut } = knownLife(pair, life);
  return {
    ...family,
    factors: factorsOf(family.use, conditions, model.features),
    logRatio: Math.log(amount / life.median),
    isWornOut,
    countError: COUNT_ERROR[by],
  };
}

/** Lives of a clinic's models, in the order in which they were asked for. */
export interface LearnedCatalogue {
  effects: ReturnType<typeof learnLives>['effects'];
  chance: number;
  pairs: number;
  wornOut: number;
  lives: VersionLife[];
}

/** All that a clinic's pairs teach about its models; what runs away from the server's thread. */
export function learnCatalogue({
  pairs,
  models,
  school,
}: {
  pairs: readonly LifeObservation[];
  models: readonly PairFamily[];
  school: LifeSchool;
}): LearnedCatalogue {
  const { effects, chance, lifeOf } = learnLives(pairs, lifePriors(school));
  return {
    effects,
    chance,
    pairs: pairs.length,
    wornOut: pairs.filter(({ isWornOut }) => isWornOut).length,
    lives: models.map(lifeOf),
  };
}
