import { fail, ok, type Result } from '../result/result';

/** Lengths of a step that anybody has, m. */
export const STEP_LENGTH_M = { least: 0.2, most: 1.6 } as const;

/** Share of the body height that a walking step is long. Common practice; a measured step is better. */
const STEP_OF_HEIGHT = 0.414;

/** A step length to begin with, m, from the body height. @example usualStepM(1750) // 0.72 */
export const usualStepM = (heightMm: number): number =>
  Math.round((heightMm / 1000) * STEP_OF_HEIGHT * 100) / 100;

/** Steps as a distance. @example stepsToKm(10_000, 0.7) // { ok: true, value: 7 } */
export function stepsToKm(steps: number, stepM: number): Result<number> {
  if (!(stepM >= STEP_LENGTH_M.least && stepM <= STEP_LENGTH_M.most))
    return fail('step-length', `A step is ${STEP_LENGTH_M.least} to ${STEP_LENGTH_M.most} m long.`);
  return ok((steps * stepM) / 1000);
}
