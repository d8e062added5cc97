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
export const REVIEW_FROM_PLY = 10;

/** The most that is worn, and the most socks that a drawer holds before it is a slip of the keys. Ours. */
export const MOST_PLY = 40;
export const MOST_SOCKS = 200;
/** Stacks are looked for so far beyond what is wanted. */
const REACH_PLY = 80;

/** What is wrong with a drawer; null where nothing is. */
export function drawerProblem(inventory: readonly SockKind[]): string | null {
  const odd = inventory.find(({ ply }) => !Number.isInteger(ply) || ply < 1 || ply > MOST_PLY / 2);
  if (odd) return `A sock of ${odd.ply} ply: socks have 1 to ${MOST_PLY / 2} ply.`;
  const many = inventory.reduce((sum, { quantity }) => sum + Math.max(0, quantity), 0);
  return many > MOST_SOCKS ? `${many} socks: at most ${MOST_SOCKS} are counted. Is a number wrong?` : null;
}

/** Fewer socks first; among as many, the one with the thicker sock inside. */
function isBetterStack(a: readonly number[], b: readonly number[] | null | undefined): boolean {
  if (!b || a.length !== b.length) return !b || a.length < b.length;
  const at = a.findIndex((ply, index) => ply !== b[index]);
  return at >= 0 && a[at]! > b[at]!;
}

/**
 * The best stack for every ply that socks add up to: `stacks[ply]`, undefined where none does. Each stack is thickest first.
 * Dynamic programming over kinds, the thickest first: the fewest socks of a sum are the fewest of the rest and one more.
 *
 * @param most the largest sum that is looked for
 */
export function bestStacks(
  kinds: readonly Pick<SockKind, 'ply' | 'quantity'>[],
  most: number,
): (number[] | undefined)[] {
  const best: (number[] | undefined)[] = Array.from({ length: most + 1 });
  best[0] = [];
  for (const { ply, quantity } of kinds.toSorted((a, b) => b.ply - a.ply))
    for (let worn = 0; worn < Math.min(quantity, Math.floor(most / ply)); worn += 1)
      for (let sum = most; sum >= ply; sum -= 1) {
        const under = best[sum - ply];
        if (!under) continue;
        const stack = [...under, ply];
        if (isBetterStack(stack, best[sum])) best[sum] = stack;
      }
  return best;
}

/**
 * Fewest socks whose ply adds up to what is wanted; what counts is total ply, not the number of socks. Exact first, else the
 * nearest below and above; where nothing can be worn at all, why. Handbook 06, common practice.
 *
 * @param needsHole pin or lanyard suspension: only socks with a hole count
 */
export function sockStack(
  inventory: readonly SockKind[],
  wanted: number,
  needsHole: boolean,
): Result<SockAnswer> {
  if (!Number.isInteger(wanted) || wanted < 0 || wanted > MOST_PLY)
    return fail('impossible', `A wanted ply is a whole number from 0 to ${MOST_PLY}.`);
  const problem = drawerProblem(inventory);
  if (problem) return fail('impossible', problem);
  const owned = inventory.filter(({ quantity }) => quantity > 0);
  const usable = owned.filter(({ hole }) => !needsHole || hole);
  const most = Math.min(
    REACH_PLY,
    usable.reduce((sum, kind) => sum + kind.ply * kind.quantity, 0),
  );
  const best = bestStacks(usable, most);
  const at = (ply: number): SockStack | null => (best[ply] ? { socks: best[ply], ply } : null);
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
    sentence: exact
      ? wanted === 0
        ? 'No sock.'
        : `${stackInWords(exact)} makes ${wanted} ply.`
      : nearestInWords(wanted, [below, above], whyNone(owned, usable)),
    caution:
      wanted >= REVIEW_FROM_PLY
        ? `${wanted} ply is a lot: steadily ${REVIEW_FROM_PLY}–15 ply or more calls for the prosthetist.`
        : null,
  });
}

/** Why nothing can be worn, where that is so. */
export function whyNone(owned: readonly SockKind[], usable: readonly SockKind[]): string | null {
  if (owned.length === 0) return 'The drawer is empty.';
  return usable.length === 0 ? 'No sock in the drawer has a hole, and pin or lanyard need one.' : null;
}

/** @example '5-ply + 1-ply' */
export const stackInWords = ({ socks }: Pick<SockStack, 'socks'>): string =>
  socks.map((ply) => `${ply}-ply`).join(' + ');

function nearestInWords(wanted: number, near: readonly (SockStack | null)[], why: string | null): string {
  if (why) return why;
  const nearest = near
    .flatMap((stack) => stack ?? [])
    .map((stack) => `${stackInWords(stack)} makes ${stack.ply}`);
  return `No stack makes ${wanted} ply exactly. ${nearest.join('; ')}.`;
}
