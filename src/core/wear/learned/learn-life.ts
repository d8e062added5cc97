import { normalTail } from '../../statistics/normal';
import type { Use } from '../clocks';
import { type ArrowSolution, type Branch, branch, branchSpreads, solveArrow } from './arrow-system';
import { FACTOR_IDS, FACTORS, type FoamKind } from './life-factors';
import type { LifePriors } from './life-priors';

/** A pair's family: its version within a model within a maker, and what it is made for. */
export interface PairFamily {
  maker: string;
  model: string;
  version: string;
  use: Use;
  foam: FoamKind;
}

/** One pair as the learning sees it. */
export interface LifeObservation extends PairFamily {
  /** In the order of FACTOR_IDS. */
  factors: readonly number[];
  /** Logarithm of what it lasted, or of what it has gone so far, over what its use is said to last. */
  logRatio: number;
  /** It was worn out; else it is in use, or was given up for another reason, and has lasted at least so long. */
  isWornOut: boolean;
  /** Standard deviation of that logarithm as it was counted: a log is surer than a stated week. */
  countError: number;
}

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

const MOST_STEPS = 40;
const CLOSE_ENOUGH = 1e-7;

const modelKey = ({ maker, model }: PairFamily): string => `${maker}\u0000${model}`;
const versionKey = (family: PairFamily): string => `${modelKey(family)}\u0000${family.version}`;
const cellKey = ({ use, foam }: PairFamily): string => `${use} ${foam}`;

/** Numbers each new key in the order of its coming. */
class Numbered {
  readonly at = new Map<string, number>();
  of(key: string): number {
    const known = this.at.get(key);
    if (known !== undefined) return known;
    this.at.set(key, this.at.size);
    return this.at.size - 1;
  }
}

/** The observations laid out for the solver: who is whose parent, and where each effect stands. */
interface Layout {
  family: { parent: number; spread: number }[];
  branchOf: ReadonlyMap<string, number>;
  version: Int32Array;
  use: Int32Array;
  cell: Int32Array;
  uses: ReadonlyMap<string, number>;
  cells: ReadonlyMap<string, number>;
  prior: { mean: Float64Array; sd: Float64Array };
  /** Which factors each pair has, so that the others cost nothing. */
  factors: { at: readonly number[]; amount: readonly number[] }[];
}

const FACTOR_COUNT = FACTOR_IDS.length;

function layOut(pairs: readonly LifeObservation[], priors: LifePriors): Layout {
  const branchOf = new Map<string, number>();
  const family: Layout['family'] = [];
  // Parents first: makers, then models, then versions.
  const add = (key: string, parent: number, spread: number) => {
    if (branchOf.has(key)) return;
    branchOf.set(key, family.length);
    family.push({ parent, spread });
  };
  for (const pair of pairs) add(pair.maker, -1, priors.maker);
  for (const pair of pairs) add(modelKey(pair), branchOf.get(pair.maker)!, priors.model);
  for (const pair of pairs) add(versionKey(pair), branchOf.get(modelKey(pair))!, priors.version);
  const [uses, cells] = [new Numbered(), new Numbered()];
  for (const pair of pairs) {
    uses.of(pair.use);
    cells.of(cellKey(pair));
  }
  const size = FACTOR_COUNT + uses.at.size + cells.at.size;
  const mean = new Float64Array(size);
  const sd = new Float64Array(size).fill(priors.cell);
  FACTOR_IDS.forEach((id, at) => {
    mean[at] = FACTORS[id].mean;
    sd[at] = FACTORS[id].sd;
  });
  for (const [use, at] of uses.at) sd[FACTOR_COUNT + at] = priors.uses[use as Use].use;
  const firstCell = FACTOR_COUNT + uses.at.size;
  return {
    family,
    branchOf,
    version: Int32Array.from(pairs, (pair) => branchOf.get(versionKey(pair))!),
    use: Int32Array.from(pairs, (pair) => FACTOR_COUNT + uses.of(pair.use)),
    cell: Int32Array.from(pairs, (pair) => firstCell + cells.of(cellKey(pair))),
    uses: new Map([...uses.at].map(([key, at]) => [key, FACTOR_COUNT + at])),
    cells: new Map([...cells.at].map(([key, at]) => [key, firstCell + at])),
    prior: { mean, sd },
    factors: pairs.map(({ factors }) => {
      const at = FACTOR_IDS.flatMap((_, index) => (factors[index] === 0 ? [] : [index]));
      return { at, amount: at.map((index) => factors[index]!) };
    }),
  };
}

interface Unknowns {
  branches: Float64Array;
  shared: Float64Array;
}

/** What each pair says of its expected life, as a Gaussian. */
interface Sites {
  precision: Float64Array;
  weighted: Float64Array;
}

interface Fit extends Unknowns {
  solution: ArrowSolution;
  spreads: ReturnType<typeof branchSpreads>;
  evidence: number;
}

/** What all pairs say at some values of the unknowns: its logarithm, and the step of Newton from there. */
class LifeLikelihood {
  private readonly sd: Float64Array;

  constructor(
    private readonly pairs: readonly LifeObservation[],
    private readonly layout: Layout,
    priors: LifePriors,
    chance: number,
  ) {
    this.sd = Float64Array.from(pairs, ({ use, countError }) =>
      Math.hypot(chance * priors.uses[use].pair, countError),
    );
  }

  private expected({ branches, shared }: Unknowns, at: number): number {
    const { version, use, cell, factors } = this.layout;
    let sum = branches[version[at]!]! + shared[use[at]!]! + shared[cell[at]!]!;
    const own = factors[at]!;
    for (let i = 0; i < own.at.length; i += 1) sum += own.amount[i]! * shared[own.at[i]!]!;
    return sum;
  }

  /** Logarithm of prior times likelihood. */
  at(unknowns: Unknowns): number {
    const { family, prior } = this.layout;
    let sum = 0;
    family.forEach(({ parent, spread }, at) => {
      const around = parent >= 0 ? unknowns.branches[parent]! : 0;
      sum -= 0.5 * ((unknowns.branches[at]! - around) / spread) ** 2;
    });
    for (let at = 0; at < prior.sd.length; at += 1)
      sum -= 0.5 * ((unknowns.shared[at]! - prior.mean[at]!) / prior.sd[at]!) ** 2;
    this.pairs.forEach(({ logRatio, isWornOut }, at) => {
      const sd = this.sd[at]!;
      const z = (logRatio - this.expected(unknowns, at)) / sd;
      sum += isWornOut ? -0.5 * z * z - Math.log(sd) : normalTail(z).log;
    });
    return sum;
  }

  /** What each pair says, as a Gaussian that has the same slope and curvature at some values of the unknowns. */
  sitesAt(unknowns: Unknowns): Sites {
    const sites = {
      precision: new Float64Array(this.pairs.length),
      weighted: new Float64Array(this.pairs.length),
    };
    this.pairs.forEach(({ logRatio, isWornOut }, at) => {
      const sd = this.sd[at]!;
      const expected = this.expected(unknowns, at);
      const z = (logRatio - expected) / sd;
      const hazard = isWornOut ? z : normalTail(z).hazard;
      const precision = (isWornOut ? 1 : Math.max(0, hazard * (hazard - z))) / sd ** 2;
      sites.precision[at] = precision;
      sites.weighted[at] = precision * expected + hazard / sd;
    });
    return sites;
  }

  /** The unknowns once each pair says what its site says. */
  solve(sites: Sites): { solution: ArrowSolution; tree: Branch[] } {
    const { family, version, use, cell, prior, factors } = this.layout;
    const size = prior.sd.length;
    const tree = family.map(({ parent, spread }) => branch(parent, spread, size));
    const precision = new Float64Array(size * size);
    const weighted = new Float64Array(size);
    for (let at = 0; at < size; at += 1) {
      precision[at * size + at] = 1 / prior.sd[at]! ** 2;
      weighted[at] = prior.mean[at]! / prior.sd[at]! ** 2;
    }
    for (let at = 0; at < this.pairs.length; at += 1) {
      const own = factors[at]!;
      // Factors stand before uses, uses before cells: the upper half is filled.
      const place = [...own.at, use[at]!, cell[at]!];
      const amount = [...own.amount, 1, 1];
      const weight = sites.precision[at]!;
      const response = sites.weighted[at]!;
      const leaf = tree[version[at]!]!;
      leaf.precision += weight;
      leaf.weighted += response;
      for (let i = 0; i < place.length; i += 1) {
        const x = amount[i]!;
        leaf.shared[place[i]!]! += weight * x;
        weighted[place[i]!]! += response * x;
        for (let j = i; j < place.length; j += 1)
          precision[place[i]! * size + place[j]!]! += weight * x * amount[j]!;
      }
    }
    return { solution: solveArrow(tree, { precision, weighted }), tree };
  }
}

/** Most likely values of all unknowns, by Newton's method: what they say is log-concave, so there is one summit. */
function summit(likelihood: LifeLikelihood, from: Unknowns): Fit {
  let here = from;
  let height = likelihood.at(here);
  for (let steps = 0; ; steps += 1) {
    const { solution, tree } = likelihood.solve(likelihood.sitesAt(here));
    let there: Unknowns = { branches: solution.branches, shared: solution.shared };
    let reached = likelihood.at(there);
    // A step too far is halved until it climbs.
    for (let halved = 0; reached < height - CLOSE_ENOUGH && halved < 30; halved += 1) {
      there = {
        branches: there.branches.map((value, at) => (value + here.branches[at]!) / 2),
        shared: there.shared.map((value, at) => (value + here.shared[at]!) / 2),
      };
      reached = likelihood.at(there);
    }
    const climbed = reached - height;
    here = there;
    height = reached;
    if (climbed < CLOSE_ENOUGH || steps >= MOST_STEPS)
      return {
        ...here,
        solution,
        spreads: branchSpreads(tree, solution),
        evidence: height - 0.5 * solution.logDeterminant,
      };
  }
}

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
              fit.solution.covariance.get(i, j) +
              (fit.shared[i]! - effect[i]!) * (fit.shared[j]! - effect[j]!),
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
  { branches, shared, spreads, solution }: Fit,
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
  const { covariance } = solution;
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
