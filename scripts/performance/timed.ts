/** The middle of some times. */
export const median = (values: number[]): number =>
  values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)]!;

/** Median of some rounds of the same work, ms. */
export function timed(work: () => unknown, rounds: number): number {
  const times: number[] = [];
  for (let round = 0; round < rounds; round += 1) {
    const start = performance.now();
    work();
    times.push(performance.now() - start);
  }
  return median(times);
}
