import { type Activity, SERVES } from '../../purpose/serves';
import { keysOf } from '../../tables/keys-of';
import { CLOCK_OF_USE, madeForUse, type Use } from '../clocks';
import type { PairToPlan, Session } from './week';

/** What a use is made for first: what a pair is taken to be worn for until somebody says otherwise. */
export const activityOf = (use: Use): Activity =>
  keysOf(SERVES).find((activity) => SERVES[activity][use] === 1) ??
  keysOf(SERVES).find((activity) => (SERVES[activity][use] ?? 0) > 0) ??
  'everyday';

/** Days on which so many outings lie, spread over the week. */
const SPREAD: Readonly<Record<number, readonly number[]>> = {
  1: [5],
  2: [1, 5],
  3: [1, 3, 5],
  4: [1, 3, 5, 6],
  5: [0, 1, 3, 4, 6],
  6: [0, 1, 2, 3, 5, 6],
};
const USUAL_KM = 9;
const LONG_SHARE = 0.35;

/** Outings of a distance a week: one of them long. Ours, until the patient says theirs. */
function outings(activity: Activity, weekly: number): Session[] {
  const count = Math.min(6, Math.max(1, Math.round(weekly / USUAL_KM)));
  const days = SPREAD[count]!;
  const long = count > 2 ? weekly * LONG_SHARE : weekly / count;
  const others = count > 1 ? (weekly - long) / (count - 1) : 0;
  return days.map((day, at) => {
    const isLong = at === days.length - 1;
    return {
      id: `${activity} ${at + 1}`,
      day,
      activity,
      kind: isLong && count > 2 ? ('long' as const) : ('easy' as const),
      amount: Math.round((isLong ? long : others) * 10) / 10,
    };
  });
}

/** A week to begin with, from what each pair is used a week: distance as outings, all else over five days. */
export function usualWeek(
  pairs: readonly (Pick<PairToPlan, 'features'> & { weekly: number | null })[],
): Session[] {
  const byActivity = new Map<Activity, { weekly: number; use: Use }>();
  for (const { features, weekly } of pairs) {
    const use = madeForUse(features);
    const activity = activityOf(use);
    const known = byActivity.get(activity)?.weekly ?? 0;
    if (weekly) byActivity.set(activity, { weekly: known + weekly, use });
  }
  return [...byActivity].flatMap(([activity, { weekly, use }]) =>
    CLOCK_OF_USE[use] === 'km'
      ? outings(activity, weekly)
      : [0, 1, 2, 3, 4].map((day) => ({
          id: `${activity} ${day + 1}`,
          day,
          activity,
          kind: 'other' as const,
          amount: Math.round((weekly / 5) * 10) / 10,
        })),
  );
}

/** Whether a racing pair is only raced in this week: then its life is that of raced pairs. */
export const isOnlyRaced = (
  pairId: string,
  sessions: readonly Session[],
  assignment: Readonly<Record<string, string>>,
): boolean => {
  const own = sessions.filter(({ id }) => assignment[id] === pairId);
  return own.length > 0 && own.every(({ kind, activity }) => kind === 'race' || activity === 'racing');
};
