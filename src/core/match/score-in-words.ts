/**
 * How much of what is wanted a pair gives: `82 %`, and what the values that are not known leave open: `82 ± 3 %`. Where something
 * speaks against it, however little, it is never the whole.
 *
 * @param entry score and spread, 0 to 1
 * @param isFaulted whether anything speaks against the pair
 */
export function scoreInWords(entry: { score: number; spread: number }, isFaulted = false): string {
  const points = Math.min(isFaulted ? 99 : 100, Math.round(entry.score * 100));
  const off = Math.round(entry.spread * 100);
  return off >= 1 ? `${points} ± ${off} %` : `${points} %`;
}
