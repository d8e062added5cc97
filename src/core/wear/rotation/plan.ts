import {
  type Assignment,
  followCost,
  inOrder,
  kmOfWeek,
  newPairCost,
  type PairToPlan,
  type Session,
  servesSession,
  sessionCost,
  weekCost,
} from './week';

/** What a person has settled: a session in a pair, which the plan leaves as it is. */
export type Settled = Assignment;

export interface WeekPlan {
  assignment: Assignment;
  /** Sessions for which no pair serves at all. */
  without: string[];
  cost: number;
  /** Whether every plan was weighed; else the best of those that were, within a limit. */
  isBest: boolean;
}

/** Plans that are weighed at most: a few hundredths of a second. */
const MOST_NODES = 150_000;

/**
 * The week's sessions given to the pairs so that they rest, none is asked for what it is not made for, a new one is broken in
 * slowly, race pairs are kept for races, load changes direction and the pairs do not end together. Branch and bound: costs only
 * add up along the week, so that a plan dearer than the best is left as soon as it is.
 */
export function planWeek(
  sessions: readonly Session[],
  pairs: readonly PairToPlan[],
  settled: Settled = {},
): WeekPlan {
  const served = (session: Session) => {
    const own = settled[session.id];
    const kept = pairs.filter(({ id }) => id === own);
    return kept.length > 0 ? kept : pairs.filter((pair) => servesSession(pair, session) > 0);
  };
  const week = inOrder(sessions).map((session) => ({ session, pairs: served(session) }));
  const without = week.filter((entry) => entry.pairs.length === 0).map(({ session }) => session.id);
  const open = week.filter((entry) => entry.pairs.length > 0);
  const planned = open.map(({ session }) => session);
  const all = kmOfWeek(planned, pairs);
  const chosen: PairToPlan[] = [];
  const weekly = new Map<string, number>();
  let best: { assignment: Assignment; cost: number } | null = null;
  let nodes = 0;
  const assignmentOf = (): Assignment =>
    Object.fromEntries(planned.map(({ id }, at) => [id, chosen[at]!.id]));
  const descend = (at: number, cost: number) => {
    nodes += 1;
    if (nodes > MOST_NODES || (best && cost >= best.cost)) return;
    if (at === open.length) {
      const assignment = assignmentOf();
      const whole = weekCost(planned, pairs, assignment);
      if (!best || whole < best.cost) best = { assignment, cost: whole };
      return;
    }
    const { session, pairs: candidates } = open[at]!;
    const before = at > 0 ? { session: planned[at - 1]!, pair: chosen[at - 1]! } : null;
    const options = candidates.map((pair) => {
      const had = weekly.get(pair.id) ?? 0;
      const step =
        sessionCost(session, pair, pairs) +
        (before ? followCost(before.session, session, before.pair, pair) : 0) +
        newPairCost(pair, had + session.amount, all) -
        newPairCost(pair, had, all);
      return { pair, had, step };
    });
    // The cheapest first: a good plan is found early and the others are left sooner.
    for (const { pair, had, step } of options.toSorted((a, b) => a.step - b.step)) {
      chosen[at] = pair;
      weekly.set(pair.id, had + session.amount);
      descend(at + 1, cost + step);
      weekly.set(pair.id, had);
    }
  };
  descend(0, 0);
  const found = best as { assignment: Assignment; cost: number } | null;
  return {
    assignment: found?.assignment ?? {},
    without,
    cost: found?.cost ?? 0,
    isBest: nodes <= MOST_NODES,
  };
}
