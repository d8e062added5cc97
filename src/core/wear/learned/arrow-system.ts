import { CholeskyDecomposition, Matrix } from 'ml-matrix';

/**
 * A Gaussian over a family tree and a few shared unknowns: versions lie around their model, models around their maker,
 * makers around 0, and every observation sees one version and some of the shared unknowns. Its precision matrix is an arrow:
 * each branch touches only its parent and the shared block, so that it is eliminated leaf by leaf and only the shared block
 * is solved as a whole.
 */
export interface Branch {
  /** Precision and weighted response that were seen at this branch itself. */
  precision: number;
  weighted: number;
  /** Coupling with the shared unknowns. */
  shared: Float64Array;
  /** Where its parent stands, −1 for a maker. */
  parent: number;
  /** Standard deviation around its parent. */
  spread: number;
}

/** A branch once it is eliminated: its mean is `alpha + rho · parent − coupling · shared`, with a variance of its own. */
interface Eliminated {
  alpha: number;
  rho: number;
  coupling: Float64Array;
  variance: number;
}

export interface ArrowSolution {
  branches: Float64Array;
  shared: Float64Array;
  /** Logarithm of the determinant of the whole precision matrix. */
  logDeterminant: number;
  eliminated: readonly Eliminated[];
  /** Covariance of the shared unknowns; reckoned when it is asked for, which is once for many steps of Newton. */
  covariance: () => Matrix;
}

/** An empty branch. */
export const branch = (parent: number, spread: number, shared: number): Branch => ({
  precision: 0,
  weighted: 0,
  shared: new Float64Array(shared),
  parent,
  spread,
});

/**
 * Solves the system. Branches stand after their parents; `shared` holds the precision of the shared block (row by row, upper
 * half read) and its weighted response, and is changed.
 *
 * @throws RangeError where the shared block is not positive definite
 */
export function solveArrow(
  branches: readonly Branch[],
  shared: { precision: Float64Array; weighted: Float64Array },
): ArrowSolution {
  const size = shared.weighted.length;
  const precision = branches.map((entry) => entry.precision);
  const weighted = branches.map((entry) => entry.weighted);
  const coupling = branches.map((entry) => Float64Array.from(entry.shared));
  const eliminated = new Array<Eliminated>(branches.length);
  let logDeterminant = 0;
  for (let at = branches.length - 1; at >= 0; at -= 1) {
    const { parent, spread } = branches[at]!;
    const around = 1 / spread ** 2;
    const own = coupling[at]!;
    const total = precision[at]! + around;
    const alpha = weighted[at]! / total;
    const rho = around / total;
    const scaled = own.map((value) => value / total);
    eliminated[at] = { alpha, rho, coupling: scaled, variance: 1 / total };
    logDeterminant += Math.log(total);
    const coupled = placesOf(own);
    if (parent >= 0) {
      precision[parent]! += around * (1 - rho);
      weighted[parent]! += around * alpha;
      const up = coupling[parent]!;
      for (const i of coupled) up[i]! += around * scaled[i]!;
    }
    for (const [first, i] of coupled.entries()) {
      const share = scaled[i]!;
      shared.weighted[i]! -= share * weighted[at]!;
      const row = i * size;
      for (let other = first; other < coupled.length; other += 1) {
        const j = coupled[other]!;
        shared.precision[row + j]! -= share * own[j]!;
      }
    }
  }
  const full = Matrix.zeros(size, size);
  for (let i = 0; i < size; i += 1)
    for (let j = i; j < size; j += 1) {
      const value = shared.precision[i * size + j]!;
      full.set(i, j, value);
      full.set(j, i, value);
    }
  const cholesky = new CholeskyDecomposition(full);
  if (!cholesky.isPositiveDefinite()) throw new RangeError('The shared unknowns are not determined.');
  const lower = cholesky.lowerTriangularMatrix;
  for (let i = 0; i < size; i += 1) logDeterminant += 2 * Math.log(lower.get(i, i));
  const solved = Float64Array.from(cholesky.solve(Matrix.columnVector(shared.weighted)).getColumn(0));
  const means = new Float64Array(branches.length);
  for (let at = 0; at < branches.length; at += 1) {
    const { alpha, rho, coupling: own } = eliminated[at]!;
    const { parent } = branches[at]!;
    let mean = alpha + (parent >= 0 ? rho * means[parent]! : 0);
    for (let i = 0; i < size; i += 1) mean -= own[i]! * solved[i]!;
    means[at] = mean;
  }
  const covariance = () => cholesky.solve(Matrix.eye(size));
  return { branches: means, shared: solved, logDeterminant, eliminated, covariance };
}

/** Which of the shared unknowns a branch touches: few of them. */
function placesOf(coupling: Float64Array): number[] {
  const places: number[] = [];
  for (let i = 0; i < coupling.length; i += 1) if (coupling[i] !== 0) places.push(i);
  return places;
}

/** What a branch shares with the shared unknowns, and what varies beside them. */
export interface BranchSpread {
  coupling: Float64Array;
  variance: number;
}

/** How each branch hangs together with the shared unknowns: `branch = … − coupling · shared`, plus a variance of its own. */
export function branchSpreads(
  branches: readonly Branch[],
  { eliminated, shared }: ArrowSolution,
): BranchSpread[] {
  const spreads: BranchSpread[] = [];
  for (let at = 0; at < branches.length; at += 1) {
    const { parent } = branches[at]!;
    const { rho, coupling, variance } = eliminated[at]!;
    const up = parent >= 0 ? spreads[parent]! : { coupling: new Float64Array(shared.length), variance: 0 };
    spreads.push({
      coupling: coupling.map((value, i) => value + rho * up.coupling[i]!),
      variance: variance + rho ** 2 * up.variance,
    });
  }
  return spreads;
}
