const SLOW_MS = 500;
const KEPT = 20;

interface SlowRequest {
  what: string;
  ms: number;
  at: Date;
}

const kept: SlowRequest[] = [];

/** An address without what names anybody: identifiers and queries are left out. */
const withoutNames = (path: string): string =>
  path.replace(/[0-9a-f]{8}-[0-9a-f-]{27}|(?<=^\/calendar\/).+/gi, '…');

/** Remembers a request that took long, in this process only. */
export function noteDuration(method: string, path: string, ms: number): void {
  if (ms < SLOW_MS) return;
  kept.push({ what: `${method} ${withoutNames(path)}`, ms: Math.round(ms), at: new Date() });
  if (kept.length > KEPT) kept.shift();
}

/** The slow requests of late, slowest first. */
export const slowest = (): SlowRequest[] => kept.toSorted((a, b) => b.ms - a.ms);
