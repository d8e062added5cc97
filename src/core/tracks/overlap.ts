interface Span {
  from: number | null;
  to: number | null;
}

/** Share of the shorter of two outings that lies within the other. */
export function sharedTime(a: Span, b: Span): number {
  if (a.from === null || a.to === null || b.from === null || b.to === null) return 0;
  const shared = Math.min(a.to, b.to) - Math.max(a.from, b.from);
  const shorter = Math.min(a.to - a.from, b.to - b.from);
  if (shared < 0) return 0;
  return shorter <= 0 ? 1 : shared / shorter;
}

/** Share of time from which two outings are one, seen by two devices. Ours. */
const SAME_SHARE = 0.5;

/** Whether two outings are one. */
export const isSameOuting = (a: Span, b: Span): boolean => sharedTime(a, b) >= SAME_SHARE;

/**
 * Which outings are another one of the list again: the same file twice, or two devices at one run. The first of them counts.
 *
 * @returns for each, the place of the one that it repeats; null where it is the first
 */
export function repeatsOf(outings: readonly Span[]): (number | null)[] {
  // By their begin, so that each is held against those just before it and not against all.
  const order = outings
    .map((_, at) => at)
    .toSorted((a, b) => (outings[a]!.from ?? 0) - (outings[b]!.from ?? 0) || a - b);
  const repeats: (number | null)[] = outings.map(() => null);
  let open: number[] = [];
  for (const at of order) {
    const one = outings[at]!;
    if (one.from === null) continue;
    open = open.filter((before) => (outings[before]!.to ?? 0) >= one.from!);
    const same = open.find((before) => isSameOuting(outings[before]!, one));
    if (same === undefined) open.push(at);
    else repeats[at] = same;
  }
  return repeats;
}
