import { fail, ok, type Result } from '../result/result';
import { type Eyelet, eyeletKey, LACE_SIDES, type LaceSide, otherSide } from './eyelets';

/** How one zone is laced. */
export interface LaceDesign {
  base: 'cross' | 'parallel' | 'toe-lift';
  /** Lowest eyelets that are left out, by side. */
  open: Readonly<Record<LaceSide, number>>;
  /** Rows after which the lace goes straight up to the next instead of crossing: what lies there is not pressed. */
  straightAfter: readonly number[];
  /** The row after which both ends are twisted round each other twice, so that what lies below keeps its own tension. */
  twistAfter: number | null;
  /** Loops through the extra eyelets, each end through the other's loop. */
  isLocked: boolean;
  /** Which side the end that lifts a toe begins on. */
  lift: LaceSide;
}

export const PLAIN: LaceDesign = {
  base: 'cross',
  open: { inner: 0, outer: 0 },
  straightAfter: [],
  twistAfter: null,
  isLocked: false,
  lift: 'inner',
};

/** One lace from one free end to the other. */
export interface LacePath {
  /** Eyelets in the order in which the lace goes through them. */
  nodes: readonly Eyelet[];
  /** The lace is laid in with its middle between this node and the next; both ends are worked up from there. */
  startsAfter: number;
  base: LaceDesign['base'];
  /** Of a toe lift: the side on which the lifting end begins. */
  lift: LaceSide;
  /** The last row of pairs, on which the bow is tied where there is no lock. */
  topRow: number;
  twistAfter: number | null;
  isLocked: boolean;
}

const at = (side: LaceSide, row: number): Eyelet => ({ side, row });

/** Both ends of a lace, each from the start up. */
interface Ends {
  inner: Eyelet[];
  outer: Eyelet[];
}

/** Crossing at every row, or straight up where the crossing would press; the lowest eyelets of a side may be left out. */
function crossed(first: number, last: number, { open, straightAfter }: LaceDesign): Ends {
  const low = { inner: first + open.inner, outer: first + open.outer };
  const from = Math.max(low.inner, low.outer);
  // The side with more eyelets is climbed until both are level.
  const climb = (side: LaceSide) =>
    Array.from({ length: from - low[side] + 1 }, (_, step) => at(side, low[side] + step));
  const ends: Ends = { inner: climb('inner'), outer: climb('outer') };
  for (let row = from; row < last; row += 1)
    for (const end of LACE_SIDES) {
      const { side } = ends[end].at(-1)!;
      ends[end].push(at(straightAfter.includes(row) ? side : otherSide(side), row + 1));
    }
  return ends;
}

/** Straight across at every row, up at the edge: nothing crosses the instep, and the bars draw evenly. */
function parallel(first: number, last: number): Ends {
  const ends: Ends = { inner: [at('inner', first)], outer: [at('outer', first)] };
  for (let row = first + 1; row < last; row += 1) {
    const end = ends[(row - first) % 2 === 1 ? 'inner' : 'outer'];
    const { side } = end.at(-1)!;
    end.push(at(side, row), at(otherSide(side), row));
  }
  // The last row is closed by the bow. Where both ends stand on one side, the lower one goes over.
  const isInnerLower = ends.inner.at(-1)!.row < ends.outer.at(-1)!.row;
  const lower = isInnerLower ? ends.inner : ends.outer;
  const higher = isInnerLower ? ends.outer : ends.inner;
  const { side } = higher.at(-1)!;
  if (last > first) {
    higher.push(at(side, last));
    lower.push(at(otherSide(side), last));
  }
  return ends;
}

/** One end runs straight from the sore toe's lowest eyelet to the top of the other side; the other end closes the rest. */
function toeLift(first: number, last: number, lift: LaceSide): Ends {
  const other = otherSide(lift);
  const closing: Eyelet[] = [at(lift, first), at(other, first)];
  for (let row = first + 1; row <= last; row += 1) {
    closing.push(at(lift, row));
    if (row < last) closing.push(at(other, row));
  }
  const [begin, ...rest] = closing;
  const ends = { [lift]: [begin!, at(other, last)], [other]: rest };
  return { inner: ends.inner!, outer: ends.outer! };
}

/**
 * The path of one lace through a zone of eyelets.
 *
 * @param first lowest row of the zone
 * @param pairs rows in it
 * @param extraRow row of the extra eyelets, null where the shoe has none or they are not of this zone
 * @returns `no-eyelet` where a lock needs holes that are not there, `too-few` where too many are left out
 */
export function lacePath(
  first: number,
  pairs: number,
  extraRow: number | null,
  design: LaceDesign,
): Result<LacePath> {
  const last = first + pairs - 1;
  if (design.isLocked && extraRow === null)
    return fail('no-eyelet', 'This shoe has no extra eyelet for a heel lock.');
  if (pairs < 1 || Math.max(design.open.inner, design.open.outer) > pairs - 2)
    return fail('too-few', 'Too few eyelets are left to hold the shoe.');
  const ends =
    design.base === 'parallel'
      ? parallel(first, last)
      : design.base === 'toe-lift'
        ? toeLift(first, last, design.lift)
        : crossed(first, last, design);
  if (design.isLocked && extraRow !== null)
    for (const end of LACE_SIDES) ends[end].push(at(ends[end].at(-1)!.side, extraRow));
  return ok({
    nodes: [...ends.inner.toReversed(), ...ends.outer],
    startsAfter: ends.inner.length - 1,
    base: design.base,
    lift: design.lift,
    topRow: last,
    twistAfter: design.twistAfter,
    isLocked: design.isLocked,
  });
}

export type MoveKind = 'across' | 'cross' | 'up';

/** How the lace goes from one eyelet to the next: straight across, over to another row, or up on its side. */
export const moveOf = (from: Eyelet, to: Eyelet): MoveKind =>
  from.side === to.side ? 'up' : from.row === to.row ? 'across' : 'cross';

/** The lace between two eyelets. */
export interface LaceSegment {
  from: Eyelet;
  to: Eyelet;
}

/** The pieces of lace that a drawing shows, in no order that matters. */
export const segmentsOf = ({ nodes }: Pick<LacePath, 'nodes'>): LaceSegment[] =>
  nodes.slice(1).map((to, place) => ({ from: nodes[place]!, to }));

/**
 * The order of eyelets that pieces of lace make when they are followed from one free end to the other.
 *
 * @returns `broken` where they are no single lace
 */
export function readBack(segments: readonly LaceSegment[]): Result<Eyelet[]> {
  const next = new Map<string, Eyelet[]>();
  for (const { from, to } of segments)
    for (const [a, b] of [
      [from, to],
      [to, from],
    ] as const)
      next.set(eyeletKey(a), [...(next.get(eyeletKey(a)) ?? []), b]);
  const places = new Map(
    segments.flatMap(({ from, to }) => [from, to]).map((place) => [eyeletKey(place), place]),
  );
  const loose = [...next].filter(([, reached]) => reached.length === 1).map(([key]) => key);
  if (loose.length !== 2 || [...next.values()].some((reached) => reached.length > 2))
    return fail('broken', 'These pieces are no single lace.');
  const order = [places.get(loose[0]!)!];
  const seen = new Set([loose[0]!]);
  for (;;) {
    const onward = next.get(eyeletKey(order.at(-1)!))!.find((place) => !seen.has(eyeletKey(place)));
    if (!onward) break;
    seen.add(eyeletKey(onward));
    order.push(onward);
  }
  return order.length === places.size ? ok(order) : fail('broken', 'These pieces are no single lace.');
}
