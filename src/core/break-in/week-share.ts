/** An outing of one stretch of seven days. */
export interface DatedOuting {
  id: string;
  /** Days since the stretch began. */
  day: number;
  amount: number;
}

/** What of one week's outings is done in the new pair. */
export interface WeekShare {
  /** By outing; what is not named is done in the old pair. */
  inNew: Readonly<Record<string, number>>;
  total: number;
}

export interface WeekLimits {
  /** Of the whole week, in the unit of the outings. */
  most: number;
  /** So many of the first outings are no longer than this. */
  short: { outings: number; most: number };
  /** Old and new never on two days in a row. */
  onDifferentDays: boolean;
  /** Outings that stay in the old pair whatever their length. */
  barred: ReadonlySet<string>;
}

/** A part of an outing shorter than this share of it is not worth changing shoes for. Ours. */
export const LEAST_PART = 0.15;

const follows = (a: DatedOuting, b: DatedOuting): boolean => Math.abs(a.day - b.day) === 1;

const inWeek = (a: DatedOuting, b: DatedOuting): number => a.day - b.day || (a.id < b.id ? -1 : 1);

/**
 * As much of a week as may be done in the new pair, in as few outings as that takes. Every choice of outings that could be better is
 * weighed.
 */
export function shareWeek(outings: readonly DatedOuting[], limits: WeekLimits): WeekShare {
  const { most, short, onDifferentDays, barred } = limits;
  const open = outings.filter(({ id, amount }) => amount > 0 && !barred.has(id)).toSorted(inWeek);
  let best: { chosen: DatedOuting[]; total: number } = { chosen: [], total: 0 };
  const isBetter = (total: number, count: number) =>
    Math.abs(total - best.total) > 1e-9 ? total > best.total : count < best.chosen.length;
  // The largest first: few outings fill the week, and what cannot be better is left early.
  const bySize = open.toSorted((a, b) => b.amount - a.amount);
  const left = bySize.map((_, at) => bySize.slice(at).reduce((sum, { amount }) => sum + amount, 0));
  const cut = leastCut(open, short);
  const descend = (at: number, chosen: DatedOuting[], amount: number) => {
    const { total } = filled(chosen.toSorted(inWeek), most, short);
    if (isBetter(total, chosen.length)) best = { chosen, total };
    for (let next = at; next < bySize.length; next += 1) {
      const reach = Math.min(most, amount + left[next]! - cut);
      const isNoMore = reach <= best.total + 1e-9;
      if (reach < best.total - 1e-9 || (isNoMore && chosen.length + 1 >= best.chosen.length)) return;
      const outing = bySize[next]!;
      if (onDifferentDays && chosen.some((other) => follows(other, outing))) continue;
      descend(next + 1, [...chosen, outing], amount + outing.amount);
    }
  };
  descend(0, [], 0);
  return filled(best.chosen.toSorted(inWeek), most, short);
}

/** What a short outing takes from a week at the least: whichever outings are chosen, the first of them is one. */
const leastCut = (open: readonly DatedOuting[], short: WeekLimits['short']): number =>
  short.outings === 0 ? 0 : Math.min(...open.map(({ amount }) => Math.max(0, amount - short.most)));

/** Outings filled in the order of the week until no more may be done. */
function filled(chosen: readonly DatedOuting[], most: number, short: WeekLimits['short']): WeekShare {
  const inNew: Record<string, number> = {};
  let total = 0;
  for (const outing of chosen) {
    const isShort = Object.keys(inNew).length < short.outings;
    const part = Math.min(outing.amount, isShort ? short.most : Number.POSITIVE_INFINITY, most - total);
    if (part < outing.amount * LEAST_PART - 1e-9 || part <= 0) continue;
    inNew[outing.id] = part;
    total += part;
  }
  return { inNew, total };
}
