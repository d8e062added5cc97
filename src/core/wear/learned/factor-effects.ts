import type { FactorEffects } from './learn-life';
import { FACTOR_IDS, type FactorId } from './life-factors';

/** What a unit of a factor does to a life: times so much, with its middle 80 %. */
export interface FactorEffect {
  factor: FactorId;
  by: number;
  from: number;
  to: number;
}

const Z90 = 1.2816;

/** Effects as factors of life, in the order of FACTOR_IDS. */
export const effectsAsFactors = ({ mean, covariance }: FactorEffects): FactorEffect[] =>
  FACTOR_IDS.map((factor, at) => {
    const sd = Math.sqrt(covariance[at]![at]!);
    return {
      factor,
      by: Math.exp(mean[at]!),
      from: Math.exp(mean[at]! - Z90 * sd),
      to: Math.exp(mean[at]! + Z90 * sd),
    };
  });
