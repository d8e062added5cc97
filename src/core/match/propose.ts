import type { ShoeModel } from './model';
import type { Ranked } from './rank';

/** How unlike two models feel on the foot: firmness, height, drop and weight, each in units of a clear step. */
export function unlikeness(a: ShoeModel, b: ShoeModel): number {
  const steps = [
    ['midsoleHardness', 1],
    ['heelStack', 6],
    ['drop', 3],
    ['mass', 50],
    ['forefootStiffness', 1],
  ] as const;
  return steps.reduce((sum, [feature, step]) => {
    const x = a.features[feature];
    const y = b.features[feature];
    return x === undefined || y === undefined
      ? sum
      : sum + Math.min(2, Math.abs(Number(x) - Number(y)) / step);
  }, 0);
}

/** At least this unlike, so that a patient can feel a difference; within this of the best score. */
const FELT = 1.5;
const WORTH_TRYING = 0.12;

/** Two or three pairs worth bringing: the best, then good ones unlike enough to teach something. */
export function proposeTrial(
  ranked: readonly Ranked[],
  models: ReadonlyMap<string, ShoeModel>,
  count = 3,
): string[] {
  const first = ranked[0];
  if (!first) return [];
  const chosen = [models.get(first.id)!];
  const worth = ranked.filter((entry) => entry.score >= first.score - WORTH_TRYING);
  for (const entry of worth) {
    if (chosen.length === count) break;
    const model = models.get(entry.id)!;
    if (chosen.every((other) => unlikeness(model, other) >= FELT)) chosen.push(model);
  }
  return chosen.map((model) => model.id);
}
