export type PittingGrade = 0 | 1 | 2 | 3 | 4;

/**
 * Grade of a pit by its depth and by the time it takes to fill; the deeper of the two. Teaching convention with
 * several versions; the gaps between its bands are closed upwards here. Brodovicz 2009, from memory, check.
 *
 * @param seconds null when not timed: depth alone decides
 * @example pittingGrade(5, 20) // 3
 */
export function pittingGrade(depthMm: number, seconds: number | null): PittingGrade {
  if (depthMm <= 0) return 0;
  const byDepth: PittingGrade = depthMm <= 2 ? 1 : depthMm <= 4 ? 2 : depthMm <= 6 ? 3 : 4;
  if (seconds === null) return byDepth;
  const byTime: PittingGrade = seconds <= 2 ? 1 : seconds < 15 ? 2 : seconds <= 60 ? 3 : 4;
  return byDepth > byTime ? byDepth : byTime;
}
