/** Smallest real change in overall comfort, 0–100. Mills 2010, Med Sci Sports Exerc, from memory, check (68 %). */
export const COMFORT_REAL_CHANGE = 10;

export type ChangeReading = 'better' | 'no real change' | 'worse';

/** Baseline against now with the smallest real change; more is better. */
export function readChange(baseline: number, now: number, real = COMFORT_REAL_CHANGE): ChangeReading {
  if (now - baseline >= real) return 'better';
  return baseline - now >= real ? 'worse' : 'no real change';
}

/** A fall in pain counts when it reaches 2 points or 30 %. Farrar 2001, Pain, from memory. */
export function readPainChange(baseline: number, now: number): ChangeReading {
  const real = (from: number, to: number) => from - to >= 2 || (from > 0 && (from - to) / from >= 0.3 - 1e-9);
  if (real(baseline, now)) return 'better';
  return now - baseline >= 2 ? 'worse' : 'no real change';
}
