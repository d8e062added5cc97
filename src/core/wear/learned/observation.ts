import type { ShoeModel } from '../../catalogue/model';
import { madeForUse, priorLifeOf, type RacingUse } from '../clocks';
import { COUNT_ERROR } from '../count-error';
import type { LifeSchool } from '../life-schools';
import type { RetiredBecause } from '../retired';
import type { LifeObservation, PairFamily, VersionLife } from './learn-life';
import { learnLives } from './learn-life';
import { factorsOf, foamOf, type WearConditions } from './life-factors';
import { lifePriors } from './life-priors';

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
}

/** A model's family, as lives are learned by it. */
export const familyOf = ({ maker, name, version, features }: KnownPair['model']): PairFamily => ({
  maker,
  model: name,
  version,
  use: madeForUse(features),
  foam: foamOf(features),
});

/** A pair as the learning sees it; null where nobody knows how much it was used. Only what was worn out has ended its life. */
export function observationOf(
  { model, racing, conditions, used, by, endedBecause }: KnownPair,
  school: LifeSchool,
): LifeObservation | null {
  if (!(used > 0)) return null;
  const family = familyOf(model);
  const { median } = priorLifeOf(family.use, school, racing).life;
  return {
    ...family,
    factors: factorsOf(family.use, conditions, model.features),
    logRatio: Math.log(used / median),
    isWornOut: endedBecause === 'worn-out',
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
