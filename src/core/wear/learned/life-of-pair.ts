import { type Clock, priorLifeOf, type RacingUse, type Use } from '../clocks';
import type { LifeDistribution, LifeSchool } from '../life-schools';
import type { FactorEffects, VersionLife } from './learn-life';
import { FACTOR_IDS, FACTORS } from './life-factors';

/** What a clinic's own pairs say of a version, with the effects of the factors. */
export interface LearnedLife {
  version: VersionLife;
  effects: FactorEffects;
}

/** Life of one pair on its wearer, in the unit of its clock. */
export interface PairLife extends LifeDistribution {
  clock: Clock;
  /** Stated by practice, ours where nobody states one, or learned from the clinic's own pairs. */
  from: 'practice' | 'ours' | 'learned';
  /** Pairs that it was learned from: of this version, and of all others of its use. */
  pairs: number;
  relatives: number;
  adjustments: string[];
}

const PRIOR_EFFECTS: FactorEffects = {
  mean: FACTOR_IDS.map((id) => FACTORS[id].mean),
  covariance: FACTOR_IDS.map((id, i) => FACTOR_IDS.map((_, j) => (i === j ? FACTORS[id].sd ** 2 : 0))),
};

/**
 * How long a pair lasts its wearer: what its use is said to last, moved by what this clinic's pairs of its family lasted, and by
 * its wearer, ground and foam.
 *
 * @param factors in the order of FACTOR_IDS
 */
export function lifeOfPair(
  { use, school, racing }: { use: Use; school: LifeSchool; racing?: RacingUse | undefined },
  factors: readonly number[],
  learned: LearnedLife | null,
): PairLife {
  const stated = priorLifeOf(use, school, racing);
  const { mean, covariance } = learned?.effects ?? PRIOR_EFFECTS;
  const version = learned?.version;
  let moved = version?.mean ?? 0;
  let variance = version ? version.variance + version.pairSd ** 2 : stated.life.sigma ** 2;
  factors.forEach((amount, i) => {
    if (amount === 0) return;
    moved += amount * mean[i]!;
    variance += 2 * amount * (version?.withFactors[i] ?? 0);
    factors.forEach((other, j) => {
      variance += amount * other * covariance[i]![j]!;
    });
  });
  const adjustments = FACTOR_IDS.flatMap((id, at) => {
    const by = Math.exp(factors[at]! * mean[at]!);
    return factors[at] === 0 || Math.abs(by - 1) < 0.005
      ? []
      : [`${FACTORS[id].words(factors[at]!)} × ${by.toFixed(2)}`];
  });
  const pairs = version?.pairs ?? 0;
  const relatives = version?.relatives ?? 0;
  return {
    clock: stated.clock,
    median: stated.life.median * Math.exp(moved),
    sigma: Math.sqrt(variance),
    from: pairs + relatives > 0 ? 'learned' : stated.from,
    pairs,
    relatives,
    adjustments,
  };
}
