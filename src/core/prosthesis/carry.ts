import { fail, ok, type Result } from '../result/result';
import { groupBy } from '../tables/group-by';
import { drawerProblem, MOST_PLY, type SockKind, whyNone } from './sock-stack';

export interface CarryInput {
  drawer: readonly SockKind[];
  /** Ply of each sock that is on now: they come along, and come out of the drawer. */
  worn: readonly number[];
  /** Least and greatest total ply that the day is expected to ask for. */
  range: { from: number; to: number };
  /** Pin or lanyard suspension: only socks with a hole count. */
  needsHole: boolean;
}

export interface CarryAnswer {
  /** Ply of each sock to carry, thickest first. */
  carry: number[];
  /** Every ply of the range, one more and one less, that is reached with what is worn and carried. */
  reached: number[];
  /** Those that the whole drawer cannot reach. */
  missing: number[];
  sentence: string;
  /** What is lacking, and why. */
  lacks: string[];
}

/** Spares that go along on every trip, at the least (handbook 06). */
const ALWAYS = [3, 1] as const;
/** So much more and less than expected must be reached. */
const MARGIN_PLY = 1;

/** Sums of socks as bits: bit n is set where some of them add up to n. */
const withOne = (sums: bigint, ply: number): bigint => sums | (sums << BigInt(ply));
const reaches = (sums: bigint, ply: number): boolean => ((sums >> BigInt(ply)) & 1n) === 1n;
/** What any number of a kind adds, by doubling: exact for the quantity there is. */
function withMany(sums: bigint, { ply, quantity }: Pick<SockKind, 'ply' | 'quantity'>): bigint {
  let all = sums;
  let left = quantity;
  for (let part = 1; left > 0; part *= 2) {
    const take = Math.min(part, left);
    all |= all << BigInt(ply * take);
    left -= take;
  }
  return all;
}

/** What lies in the drawer while some are worn, by ply; socks that cannot be worn are left out. */
function leftIn({ drawer, worn, needsHole }: CarryInput): { ply: number; quantity: number }[] {
  const byPly = new Map<number, number>();
  for (const { ply, hole, quantity } of drawer)
    if (quantity > 0 && (hole || !needsHole)) byPly.set(ply, (byPly.get(ply) ?? 0) + quantity);
  for (const ply of worn) byPly.set(ply, Math.max(0, (byPly.get(ply) ?? 0) - 1));
  return [...byPly]
    .map(([ply, quantity]) => ({ ply, quantity }))
    .filter(({ quantity }) => quantity > 0)
    .toSorted((a, b) => a.ply - b.ply);
}

/**
 * The smallest set to carry that, with what is worn, reaches every ply of the expected range and one more and less, and holds a
 * 1-ply and a 3-ply at the least. Exact: sets are tried by size. The least ply that is not reached yet needs one more sock no thicker
 * than itself, so each step tries only those.
 *
 * @example carrySet({ drawer: [{ ply: 1, hole: false, quantity: 3 }, { ply: 3, hole: false, quantity: 2 }], worn: [3], range: { from: 3, to: 5 }, needsHole: false })
 */
export function carrySet(input: CarryInput): Result<CarryAnswer> {
  const { drawer, worn, range, needsHole } = input;
  const problem = drawerProblem(drawer);
  if (problem) return fail('impossible', problem);
  if (!(range.from <= range.to) || range.from < 0 || range.to > MOST_PLY)
    return fail('impossible', `A range of ply lies between 0 and ${MOST_PLY}.`);
  const left = leftIn(input);
  const always = ALWAYS.filter((ply) => left.some((kind) => kind.ply === ply));
  const free = left.map((kind) => ({
    ...kind,
    quantity: kind.quantity - always.filter((ply) => ply === kind.ply).length,
  }));
  const start = [...worn, ...always].reduce(withOne, 1n);
  const whole = free.reduce(withMany, start);
  const wanted = Array.from(
    { length: Math.ceil(range.to) + MARGIN_PLY - Math.max(0, Math.floor(range.from) - MARGIN_PLY) + 1 },
    (_, at) => Math.max(0, Math.floor(range.from) - MARGIN_PLY) + at,
  );
  const targets = wanted.filter((ply) => reaches(whole, ply));
  const missing = wanted.filter((ply) => !reaches(whole, ply));
  const added = smallest(start, free, targets);
  const carry = [...always, ...added].toSorted((a, b) => b - a);
  const owned = drawer.filter(({ quantity }) => quantity > 0);
  const why = whyNone(
    owned,
    owned.filter(({ hole }) => hole || !needsHole),
  );
  return ok({
    carry,
    reached: targets,
    missing,
    sentence:
      carry.length === 0
        ? (why ?? 'Nothing is left in the drawer to carry.')
        : `Take along ${countedSocks(carry)}.`,
    lacks: [
      ...ALWAYS.filter((ply) => !always.includes(ply)).map(
        (ply) => `No ${ply}-ply is left to take along: a 1-ply and a 3-ply always go along.`,
      ),
      ...(missing.length > 0 && why === null ? [`The drawer cannot make ${missing.join(', ')} ply.`] : []),
    ],
  });
}

/** Socks by how many of each, thickest first. @example '1 × 3-ply, 2 × 1-ply' */
const countedSocks = (socks: readonly number[]): string =>
  [...groupBy(socks, String)].map(([ply, same]) => `${same.length} × ${ply}-ply`).join(', ');

/** The fewest socks that make every target a sum; deeper sets are tried only where smaller ones fail. */
function smallest(
  start: bigint,
  free: readonly { ply: number; quantity: number }[],
  targets: readonly number[],
): number[] {
  const counts = free.map(({ quantity }) => quantity);
  const chosen: number[] = [];
  const search = (sums: bigint, more: number): boolean => {
    const short = targets.find((ply) => !reaches(sums, ply));
    if (short === undefined) return true;
    // Each sock doubles the number of sums at most.
    const missing = targets.reduce((sum, ply) => sum + (reaches(sums, ply) ? 0 : 1), 0);
    if (more === 0 || bitsIn(sums) * (2 ** more - 1) < missing) return false;
    // The target needs a further sock no thicker than itself; thick ones first, they reach furthest.
    for (let at = free.length - 1; at >= 0; at -= 1) {
      const { ply } = free[at]!;
      if (ply > short || counts[at] === 0) continue;
      counts[at]! -= 1;
      chosen.push(ply);
      if (search(withOne(sums, ply), more - 1)) return true;
      chosen.pop();
      counts[at]! += 1;
    }
    return false;
  };
  for (let size = 0; size <= free.reduce((sum, { quantity }) => sum + quantity, 0); size += 1)
    if (search(start, size)) return chosen;
  return chosen;
}

function bitsIn(sums: bigint): number {
  let count = 0;
  for (let left = sums; left > 0n; left &= left - 1n) count += 1;
  return count;
}
