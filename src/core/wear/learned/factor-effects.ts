import type { FactorEffects } from './learn-life';
import { FACTOR_IDS, FACTORS, type FactorId } from './life-factors';

/** What a unit of a factor does to a life: times so much, with its middle 80 %. */
export interface FactorEffect {
  factor: FactorId;
  by: number;
  from: number;
  to: number;
}

const Z90 = 1.2816;

/** A unit that people think in: half as heavy again for body mass, which is counted in logarithms. */
const UNIT: Readonly<Partial<Record<FactorId, { amount: number; words: string }>>> = {
  mass: { amount: Math.log(1.5), words: 'half as heavy again' },
};
const unitOf = (factor: FactorId) => UNIT[factor]?.amount ?? 1;

/** What a unit of a factor is called. */
export const unitInWords = (factor: FactorId): string => UNIT[factor]?.words ?? FACTORS[factor].label;

/** Effects as factors of life, in the order of FACTOR_IDS. */
export const effectsAsFactors = ({ mean, covariance }: FactorEffects): FactorEffect[] =>
  FACTOR_IDS.map((factor, at) => {
    const unit = unitOf(factor);
    const sd = Math.sqrt(covariance[at]![at]!);
    return {
      factor,
      by: Math.exp(unit * mean[at]!),
      from: Math.exp(unit * (mean[at]! - Z90 * sd)),
      to: Math.exp(unit * (mean[at]! + Z90 * sd)),
    };
  });
