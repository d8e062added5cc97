import { FACTOR_IDS } from './life-factors';
import { type Fit, LifeLikelihood, summit, type Unknowns } from './life-fit';
import { type Layout, layOut } from './life-layout';
import type { LifePriors } from './life-priors';
import { cellKey, type LifeObservation, modelKey, type PairFamily, versionKey } from './pair-family';

/** Life of a version before a wearer is known: logarithm over what its use is said to last, at a reference wearer. */
export interface VersionLife {
  mean: number;
  variance: number;
  /** Covariance with the effect of each factor. */
  withFactors: readonly number[];
  /** Standard deviation between pairs of one wearer and version. */
  pairSd: number;
  /** Pairs of this version, and of all others of its use; those among them that were worn out. */
  pairs: number;
  wornOut: number;
  relatives: number;
  relativesWornOut: number;
}

/** Effects of the factors, as learned. */
export interface FactorEffects {
  mean: readonly number[];
  covariance: readonly (readonly number[])[];
}

export interface LearnedLives {
  effects: FactorEffects;
  /** What chance between pairs came out at, as a multiple of what was believed before. */
  chance: number;
  lifeOf: (family: PairFamily) => VersionLife;
}

/** Multiples of the chance between pairs that are weighed against each other, and how far from 1 they are believed to lie. Ours. */
const CHANCES = [0.6, 0.8, 1, 1.3, 1.7, 2.3, 3] as const;
const CHANCE_SD = 0.5;

/** A multiple that is so much less likely than the likeliest is left out. */
const NEGLIGIBLE = 1e-3;

/**
 * What a clinic's pairs teach about how long pairs last: lognormal lives in a family of maker, model and version, by foam and
 * use, with the effect of each factor; pairs in use and pairs given up for other reasons have lasted at least so long. With few
 * pairs everything stays where the clinic's school puts it.
 */
export function learnLives(pairs: readonly LifeObservation[], priors: LifePriors): LearnedLives {
  const layout = layOut(pairs, priors);
  let from: Unknowns = {
    branches: new Float64Array(layout.family.length),
    shared: layout.prior.mean.slice(),
  };
  const fits = CHANCES.map((chance) => {
    const fit = summit(new LifeLikelihood(pairs, layout, priors, chance), from);
    from = { branches: fit.branches, shared: fit.shared };
    return { chance, fit, log: fit.evidence - 0.5 * (Math.log(chance) / CHANCE_SD) ** 2 };
  });
  const highest = Math.max(...fits.map(({ log }) => log));
  const raw = fits.map((entry) => ({ ...entry, weight: Math.exp(entry.log - highest) }));
  const likely = raw.filter(({ weight }) => weight > NEGLIGIBLE);
  const total = likely.reduce((sum, { weight }) => sum + weight, 0);
  const mixed = likely.map((entry) => ({ ...entry, weight: entry.weight / total }));
  const average = (of: (entry: (typeof mixed)[number]) => number) =>
    mixed.reduce((sum, entry) => sum + entry.weight * of(entry), 0);
  const chance = Math.sqrt(average((entry) => entry.chance ** 2));
  const effect = FACTOR_IDS.map((_, i) => average(({ fit }) => fit.shared[i]!));
  const counts = countFamilies(pairs);
  return {
    effects: {
      mean: effect,
      covariance: FACTOR_IDS.map((_, i) =>
        FACTOR_IDS.map((__, j) =>
          average(
            ({ fit }) =>
              fit.covariance.get(i, j) + (fit.shared[i]! - effect[i]!) * (fit.shared[j]! - effect[j]!),
          ),
        ),
      ),
    },
    chance,
    lifeOf: (family) => {
      const lives = new Map(mixed.map(({ fit }) => [fit, versionLife(family, layout, fit, priors)]));
      const mean = average(({ fit }) => lives.get(fit)!.mean);
      return {
        mean,
        variance: average(({ fit }) => lives.get(fit)!.variance + (lives.get(fit)!.mean - mean) ** 2),
        withFactors: FACTOR_IDS.map((_, i) =>
          average(
            ({ fit }) =>
              lives.get(fit)!.withFactors[i]! + (lives.get(fit)!.mean - mean) * (fit.shared[i]! - effect[i]!),
          ),
        ),
        pairSd: chance * priors.uses[family.use].pair,
        ...counts(family),
      };
    },
  };
}

/** Life of a version from the nearest relative that was seen: what is not known of it widens it. */
function versionLife(
  family: PairFamily,
  layout: Layout,
  { branches, shared, spreads, covariance }: Fit,
  priors: LifePriors,
): Pick<VersionLife, 'mean' | 'variance' | 'withFactors'> {
  const { branchOf, uses, cells } = layout;
  let mean = 0;
  let variance = 0;
  /** How the life moves with each shared unknown. */
  const slope = new Float64Array(shared.length);
  const known = [
    { at: branchOf.get(versionKey(family)), beyond: [] },
    { at: branchOf.get(modelKey(family)), beyond: [priors.version] },
    { at: branchOf.get(family.maker), beyond: [priors.version, priors.model] },
  ].find(({ at }) => at !== undefined);
  for (const spread of known?.beyond ?? [priors.version, priors.model, priors.maker]) variance += spread ** 2;
  if (known?.at !== undefined) {
    const spread = spreads[known.at]!;
    mean += branches[known.at]!;
    variance += spread.variance;
    spread.coupling.forEach((value, at) => {
      slope[at]! -= value;
    });
  }
  for (const [at, sd] of [
    [uses.get(family.use), priors.uses[family.use].use],
    [cells.get(cellKey(family)), priors.cell],
  ] as const)
    if (at === undefined) variance += sd ** 2;
    else {
      mean += shared[at]!;
      slope[at]! += 1;
    }
  const moved = covariance.mmul(columnOf(slope)).getColumn(0);
  slope.forEach((value, at) => {
    variance += value * moved[at]!;
  });
  return { mean, variance, withFactors: FACTOR_IDS.map((_, at) => moved[at]!) };
}

const columnOf = (values: Float64Array): number[][] => Array.from(values, (value) => [value]);

function countFamilies(pairs: readonly LifeObservation[]) {
  const counts = new Map<string, { pairs: number; wornOut: number }>();
  for (const pair of pairs)
    for (const key of [pair.use, versionKey(pair)]) {
      const count = counts.get(key) ?? { pairs: 0, wornOut: 0 };
      count.pairs += 1;
      count.wornOut += pair.isWornOut ? 1 : 0;
      counts.set(key, count);
    }
  return (family: PairFamily) => {
    const own = counts.get(versionKey(family)) ?? { pairs: 0, wornOut: 0 };
    const all = counts.get(family.use) ?? { pairs: 0, wornOut: 0 };
    return {
      ...own,
      relatives: all.pairs - own.pairs,
      relativesWornOut: all.wornOut - own.wornOut,
    };
  };
}
