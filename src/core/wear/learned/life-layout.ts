import { FACTOR_IDS, FACTORS } from './life-factors';
import type { LifePriors } from './life-priors';
import { cellKey, type LifeObservation, modelKey, versionKey } from './pair-family';

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

/** Places among the shared unknowns, and how much of each. */
interface Share {
  at: readonly number[];
  amount: readonly number[];
}

/** The observations laid out for the solver: who is whose parent, and where each effect stands. */
export interface Layout {
  family: { parent: number; spread: number }[];
  branchOf: ReadonlyMap<string, number>;
  version: Int32Array;
  uses: ReadonlyMap<string, number>;
  cells: ReadonlyMap<string, number>;
  prior: { mean: Float64Array; sd: Float64Array };
  /** All that each pair sees of what is shared: its factors (those that are not 0), its use and its cell, in ascending places. */
  seen: Share[];
}

const FACTOR_COUNT = FACTOR_IDS.length;

/** Lays the observations out: parents before children, factors before uses before cells. */
export function layOut(pairs: readonly LifeObservation[], priors: LifePriors): Layout {
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
  for (const { use } of pairs) sd[FACTOR_COUNT + uses.of(use)] = priors.uses[use].use;
  const firstCell = FACTOR_COUNT + uses.at.size;
  return {
    family,
    branchOf,
    version: Int32Array.from(pairs, (pair) => branchOf.get(versionKey(pair))!),
    uses: new Map([...uses.at].map(([key, at]) => [key, FACTOR_COUNT + at])),
    cells: new Map([...cells.at].map(([key, at]) => [key, firstCell + at])),
    prior: { mean, sd },
    seen: pairs.map((pair) => {
      const factors = FACTOR_IDS.flatMap((_, index) => (pair.factors[index] === 0 ? [] : [index]));
      const amounts = factors.map((index) => pair.factors[index]!);
      return {
        at: [...factors, FACTOR_COUNT + uses.of(pair.use), firstCell + cells.of(cellKey(pair))],
        amount: [...amounts, 1, 1],
      };
    }),
  };
}
