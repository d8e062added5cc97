import { fail, ok, type Result } from '../result/result';

/** Socks of one kind in the patient's drawer. */
export interface SockKind {
  ply: number;
  /** A hole at the end, for pin or lanyard suspension. */
  hole: boolean;
  quantity: number;
}

export interface SockStack {
  /** Ply of each sock, thickest first: the thicker goes inside. */
  socks: number[];
  ply: number;
}

export interface SockAnswer {
  wanted: number;
  exact: SockStack | null;
  /** Nearest below and above, given when nothing is exact. */
  below: SockStack | null;
  above: SockStack | null;
  sentence: string;
  caution: string | null;
}

/** Total ply from which the prosthetist should see the socket. Common practice: 10–15. */
const REVIEW_FROM_PLY = 10;

/**
 * Fewest socks whose ply adds up to what is wanted; what counts is total ply, not the number of socks.
 * Solved exactly by dynamic programming over the (small) inventory; among equal numbers of socks the stack with
 * the thicker sock wins. Common practice.
 *
 * @param needsHole pin or lanyard suspension: only socks with a hole count
 */
export function sockStack(
  inventory: readonly SockKind[],
  wanted: number,
  needsHole: boolean,
): Result<SockAnswer> {
  if (!Number.isInteger(wanted) || wanted < 0 || wanted > 40)
    return fail('impossible', 'A wanted ply is a whole number from 0 to 40.');
  const usable = inventory
    .filter((kind) => kind.quantity > 0 && (!needsHole || kind.hole))
    .sort((a, b) => b.ply - a.ply);
  const most = Math.min(
    80,
    usable.reduce((sum, kind) => sum + kind.ply * kind.quantity, 0),
  );
  const best: (number[] | null)[] = Array.from({ length: most + 1 }, () => null);
  best[0] = [];
  for (const kind of usable) {
    for (let worn = 0; worn < kind.quantity; worn += 1) {
      for (let ply = most; ply >= kind.ply; ply -= 1) {
        const under = best[ply - kind.ply];
        if (!under) continue;
        const stack = [...under, kind.ply].sort((a, b) => b - a);
        const known = best[ply];
        if (!known || stack.length < known.length || (stack.length === known.length && stack[0]! > known[0]!))
          best[ply] = stack;
      }
    }
  }
  const at = (ply: number): SockStack | null => (best[ply] ? { socks: best[ply]!, ply } : null);
  const exact = wanted <= most ? at(wanted) : null;
  let below: SockStack | null = null;
  let above: SockStack | null = null;
  if (!exact) {
    for (let ply = Math.min(wanted, most); ply > 0 && !below; ply -= 1) below = at(ply);
    for (let ply = wanted + 1; ply <= most && !above; ply += 1) above = at(ply);
  }
  return ok({
    wanted,
    exact,
    below,
    above,
    sentence: inWords(wanted, exact, below, above),
    caution:
      wanted >= REVIEW_FROM_PLY
        ? `${wanted} ply is a lot: steadily ${REVIEW_FROM_PLY}–15 ply or more calls for the prosthetist.`
        : null,
  });
}

const list = (stack: SockStack): string => stack.socks.map((ply) => `${ply}-ply`).join(' + ');

function inWords(
  wanted: number,
  exact: SockStack | null,
  below: SockStack | null,
  above: SockStack | null,
): string {
  if (exact) return wanted === 0 ? 'No sock.' : `${list(exact)} makes ${wanted} ply.`;
  const near = [below && `${list(below)} makes ${below.ply}`, above && `${list(above)} makes ${above.ply}`];
  const nearest = near.filter(Boolean).join('; ');
  return nearest
    ? `No stack makes ${wanted} ply exactly. ${nearest}.`
    : `No usable sock makes ${wanted} ply.`;
}
