import type { FeatureValues } from '../shoe/features';
import { keysOf } from '../tables/keys-of';
import { CLOCK_OF_USE, type RacingUse, type Use } from './clocks';
import { factorsOf, type WearConditions } from './learned/life-factors';
import { lifeOfPair } from './learned/life-of-pair';
import { LIFE_SCHOOLS, type LifeSchool, lifeQuantile } from './life-schools';

/** What one school says of a pair: middle 80 % in the unit of its clock. */
export interface SchoolLife {
  school: LifeSchool;
  q10: number;
  q90: number;
}

/** What every school says of a pair on its wearer; empty where none states a life for its use, or all state the same. */
export function schoolsBeside(
  use: Use,
  racing: RacingUse | undefined,
  conditions: WearConditions,
  features: FeatureValues,
): SchoolLife[] {
  if (CLOCK_OF_USE[use] !== 'km' || use === 'racing') return [];
  const factors = factorsOf(use, conditions, features);
  return keysOf(LIFE_SCHOOLS).map((school) => {
    const life = lifeOfPair({ use, school, racing }, factors, null);
    return { school, q10: lifeQuantile(life, 0.1), q90: lifeQuantile(life, 0.9) };
  });
}
