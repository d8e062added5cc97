import { errorFunction } from 'simple-statistics';

/** Share of a standard normal variable below `z`. */
export const normalBelow = (z: number): number => (1 + errorFunction(z / Math.SQRT2)) / 2;

export const normalDensity = (z: number): number => Math.exp(-0.5 * z * z) / Math.sqrt(2 * Math.PI);

/** Half the width of a central 95 % interval in standard deviations. */
export const Z_95 = 1.959964;
