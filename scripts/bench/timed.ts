/** One figure of a bench run, as figures.mjs reads it. */
export interface Figure {
  what: string;
  value: number;
  unit: 'ms' | '×' | 'MB';
  wanted?: number;
  floor?: { what: string; value: number };
  ofFloor?: boolean;
}

/** Hands a figure to whoever started this process. */
export const say = (figure: Figure): void => console.log(JSON.stringify(figure));

/** Quickest of some rounds of the same work, ms: what else the machine does only ever adds. */
export function timed(work: () => unknown, rounds: number): number {
  work();
  const times = Array.from({ length: rounds }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
  return Math.min(...times);
}
