/** Smallest real change in overall comfort within one session, 0–100. Mills 2010, Med Sci Sports Exerc, from memory, check (68 %). */
export const COMFORT_REAL_CHANGE = 10;
/** Smallest real change of the patient's own activities, 0–10: their mean, and one alone. Stratford 1995, Physiother Can, from memory. */
export const ACTIVITIES_REAL_CHANGE = 2;
export const ACTIVITY_REAL_CHANGE = 3;
/** Pain, 0–10: so many points, or so large a share of what it was. Farrar 2001, Pain, from memory. */
export const PAIN_REAL_CHANGE = { points: 2, share: 0.3 } as const;

export type ChangeReading = 'better' | 'no real change' | 'worse';

/** Baseline against now with the smallest real change; more is better. */
export function readChange(baseline: number, now: number, real = COMFORT_REAL_CHANGE): ChangeReading {
  if (now - baseline >= real) return 'better';
  return baseline - now >= real ? 'worse' : 'no real change';
}

/** How far pain has to fall to be less, from what it was: the smaller of points and share. */
export const painFall = (baseline: number): number =>
  Math.min(
    PAIN_REAL_CHANGE.points,
    baseline > 0 ? baseline * PAIN_REAL_CHANGE.share : PAIN_REAL_CHANGE.points,
  );

/** A fall in pain counts when it reaches 2 points or 30 %; a rise when it reaches 2 points. */
export function readPainChange(baseline: number, now: number): ChangeReading {
  if (baseline - now >= painFall(baseline) - 1e-9) return 'better';
  return now - baseline >= PAIN_REAL_CHANGE.points ? 'worse' : 'no real change';
}
