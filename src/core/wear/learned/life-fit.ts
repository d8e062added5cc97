import type { Matrix } from 'ml-matrix';
import { normalTail } from '../../statistics/normal';
import { type ArrowSolution, type Branch, branch, branchSpreads, solveArrow } from './arrow-system';
import type { Layout } from './life-layout';
import type { LifePriors } from './life-priors';
import type { LifeObservation } from './pair-family';

const MOST_STEPS = 40;
const CLOSE_ENOUGH = 1e-7;

export interface Unknowns {
  branches: Float64Array;
  shared: Float64Array;
}

/** What each pair says of its expected life, as a Gaussian. */
interface Sites {
  precision: Float64Array;
  weighted: Float64Array;
}

export interface Fit extends Unknowns {
  /** Covariance of the shared unknowns. */
  covariance: Matrix;
  spreads: ReturnType<typeof branchSpreads>;
  evidence: number;
}

/** What all pairs say at some values of the unknowns: its logarithm, and the step of Newton from there. */
export class LifeLikelihood {
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
    const { version, seen } = this.layout;
    let sum = branches[version[at]!]!;
    const own = seen[at]!;
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
    const { family, version, prior, seen } = this.layout;
    const size = prior.sd.length;
    const tree = family.map(({ parent, spread }) => branch(parent, spread, size));
    const precision = new Float64Array(size * size);
    const weighted = new Float64Array(size);
    for (let at = 0; at < size; at += 1) {
      precision[at * size + at] = 1 / prior.sd[at]! ** 2;
      weighted[at] = prior.mean[at]! / prior.sd[at]! ** 2;
    }
    for (let at = 0; at < this.pairs.length; at += 1) {
      // Factors stand before uses, uses before cells: the upper half is filled.
      const { at: place, amount } = seen[at]!;
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
export function summit(likelihood: LifeLikelihood, from: Unknowns): Fit {
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
        covariance: solution.covariance(),
        spreads: branchSpreads(tree, solution),
        evidence: height - 0.5 * solution.logDeterminant,
      };
  }
}
