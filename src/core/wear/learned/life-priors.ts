import { keysOf } from '../../tables/keys-of';
import { CLOCK_OF_USE, priorLifeOf, type Use } from '../clocks';
import type { LifeSchool } from '../life-schools';

/** How far relatives lie apart in the logarithm of life: makers, models of a maker, versions of a model, foams in a use. Ours. */
const FAMILY = { maker: 0.05, model: 0.12, version: 0.08, cell: 0.08 };
/** The family takes at most this share of the variance that a school states. Ours. */
const FAMILY_SHARE = 0.4;
/** Of the rest, what is chance between pairs of one wearer and model; what remains is that the school may be off as a whole. Ours. */
const PAIR_SHARE = 0.75;
/** Pairs of one kind never differ by chance more than so; a use that nobody states a life for is ignorance, not chance. Ours. */
const MOST_PAIR_SD = 0.3;

export interface LifePriors {
  /** Standard deviations within the family. */
  maker: number;
  model: number;
  version: number;
  cell: number;
  /** Of each use as a whole, and between pairs. */
  uses: Readonly<Record<Use, { use: number; pair: number }>>;
}

/** What is believed before a clinic's own pairs speak: together exactly as wide as what its school states for each use. */
export function lifePriors(school: LifeSchool): LifePriors {
  const uses = keysOf(CLOCK_OF_USE);
  const stated = uses.map((use) => priorLifeOf(use, school).life.sigma ** 2);
  const family = FAMILY.maker ** 2 + FAMILY.model ** 2 + FAMILY.version ** 2 + FAMILY.cell ** 2;
  const scale = Math.min(1, Math.sqrt((FAMILY_SHARE * Math.min(...stated)) / family));
  const perUse = uses.map((use, at) => {
    const rest = stated[at]! - family * scale ** 2;
    const pair = Math.min(MOST_PAIR_SD, Math.sqrt(PAIR_SHARE * rest));
    return [use, { use: Math.sqrt(rest - pair ** 2), pair }] as const;
  });
  return {
    maker: FAMILY.maker * scale,
    model: FAMILY.model * scale,
    version: FAMILY.version * scale,
    cell: FAMILY.cell * scale,
    uses: Object.fromEntries(perUse) as LifePriors['uses'],
  };
}
