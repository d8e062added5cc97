import { errorFunction } from 'simple-statistics';

/** Share of a standard normal variable below `z`. */
export const normalBelow = (z: number): number => (1 + errorFunction(z / Math.SQRT2)) / 2;

export const normalDensity = (z: number): number => Math.exp(-0.5 * z * z) / Math.sqrt(2 * Math.PI);

/** Half the width of a central 95 % interval in standard deviations. */
export const Z_95 = 1.959964;

/** From here the share above is too small for a difference from 1; its continued fraction has converged in a few terms. */
const TAIL_FROM = 1.5;
const TAIL_TERMS = 60;

/**
 * The share of a standard normal variable above `z`, as its logarithm, and the density there divided by it; exact far out,
 * where the share itself cannot be written.
 *
 * Source: continued fraction of Mills' ratio (Abramowitz & Stegun 26.2.14, from memory).
 *
 * @example normalTail(0) // { log: -0.6931…, hazard: 0.7979… }
 */
export function normalTail(z: number): { log: number; hazard: number } {
  if (z < TAIL_FROM) {
    const above = 1 - normalBelow(z);
    return { log: Math.log(above), hazard: normalDensity(z) / above };
  }
  let hazard = z;
  for (let term = TAIL_TERMS; term > 0; term -= 1) hazard = z + term / hazard;
  return { log: -0.5 * z * z - 0.5 * Math.log(2 * Math.PI) - Math.log(hazard), hazard };
}
