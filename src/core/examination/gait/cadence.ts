export interface Cadence {
  /** Per minute, one foot. */
  perMinute: number;
  /** Half width of a 95 % interval of the mean, per minute; null with fewer than four intervals. */
  within: number | null;
  intervals: number;
  /** Taps left out: a missed or doubled one. */
  dropped: number;
}

/**
 * Cadence of one foot from the moments at which it touched down, seconds: mean of the intervals within 30 % of
 * their median, so that a missed or doubled tap does not count.
 *
 * @returns null with fewer than three moments
 * @example cadenceOf([0, 0.7, 1.4, 2.1]).perMinute // 85.7
 */
export function cadenceOf(moments: readonly number[]): Cadence | null {
  const sorted = moments.toSorted((a, b) => a - b);
  const all = sorted.slice(1).map((moment, at) => moment - sorted[at]!);
  if (all.length < 2) return null;
  const median = all.toSorted((a, b) => a - b)[all.length >> 1]!;
  if (median <= 0) return null;
  const kept = all.filter((interval) => Math.abs(interval - median) <= 0.3 * median);
  const mean = kept.reduce((sum, interval) => sum + interval, 0) / kept.length;
  const variance =
    kept.reduce((sum, interval) => sum + (interval - mean) ** 2, 0) / Math.max(1, kept.length - 1);
  const perMinute = 60 / mean;
  return {
    perMinute,
    within: kept.length < 4 ? null : (1.96 * Math.sqrt(variance / kept.length) * perMinute) / mean,
    intervals: kept.length,
    dropped: all.length - kept.length,
  };
}

/** Step rates to try, steps of both feet a minute, and what the change did to the knee in one laboratory. */
export const STEP_RATE_CHANGES = [
  { percent: 0, knee: null },
  { percent: 5, knee: 'about 20 % less energy absorbed at the knee' },
  { percent: 10, knee: 'about 34 % less energy absorbed at the knee' },
] as const;

/** @example raisedRate(82, 5) // 172.2 steps a minute */
export const raisedRate = (oneFootPerMinute: number, percent: number): number =>
  oneFootPerMinute * 2 * (1 + percent / 100);
