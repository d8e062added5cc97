import { FINDINGS } from '../../findings/findings';
import { madeForUse } from '../clocks';
import {
  type Assignment,
  clockOf,
  inOrder,
  kmOfWeek,
  NEW_SHARE,
  NEW_UNTIL_KM,
  type PairToPlan,
  type Session,
  weeklyOf,
  weeksLeft,
} from './week';

export const DAY_NAMES = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;

const TOGETHER_WEEKS = 3;

type Titled = PairToPlan & { title: string };

/** Where a pair that is counted in kilometres is worn again within a day: `Mon–Tue`. */
function daysInARow(week: readonly Session[], assignment: Assignment, pair: PairToPlan): string[] {
  if (clockOf(pair) !== 'km') return [];
  return week.flatMap((session, at) => {
    const next = week[(at + 1) % week.length]!;
    if (next === session || assignment[session.id] !== pair.id || assignment[next.id] !== pair.id) return [];
    const apart = (next.day - session.day + 7) % 7;
    return apart > 1 ? [] : [`${DAY_NAMES[session.day]}–${DAY_NAMES[next.day]}`];
  });
}

/** What a week leaves to be wished for, in sentences; nothing where it is good as it is. */
export function weekNotes(
  sessions: readonly Session[],
  pairs: readonly Titled[],
  assignment: Assignment,
): string[] {
  const week = inOrder(sessions);
  const weekly = weeklyOf(sessions, assignment);
  const all = kmOfWeek(sessions, pairs);
  const without = week
    .filter(({ id }) => assignment[id] === undefined)
    .map(
      ({ day, activity }) =>
        `${DAY_NAMES[day]}: no pair here is for ${FINDINGS.activities.options[activity]}.`,
    );
  const rows = pairs.map((pair) => ({ pair, days: daysInARow(week, assignment, pair) }));
  const rest = rows.flatMap(({ pair, days }) =>
    days.length > 0 && pairs.length > 1
      ? [
          `${pair.title} is worn on days in a row (${days.join(', ')}): its foam gets no 24 to 48 hours of rest.`,
        ]
      : [],
  );
  const tooNew = pairs.flatMap((pair) => {
    const share = (weekly.get(pair.id) ?? 0) / all;
    return clockOf(pair) === 'km' && pair.used < NEW_UNTIL_KM && pairs.length > 1 && share > NEW_SHARE
      ? [
          `${pair.title} is new and takes ${Math.round(share * 100)} % of the week: up to ${Math.round(NEW_SHARE * 100)} % is enough until it has gone ${NEW_UNTIL_KM} km.`,
        ]
      : [];
  });
  const ends = pairs.flatMap((pair) => {
    const weeks = weeksLeft(pair, weekly.get(pair.id) ?? 0);
    return weeks === null ? [] : [{ pair, weeks }];
  });
  const together = ends.flatMap((a, i) =>
    ends
      .slice(i + 1)
      .filter((b) => Math.abs(a.weeks - b.weeks) < TOGETHER_WEEKS)
      .map((b) => `${a.pair.title} and ${b.pair.title} would be used up at about the same time.`),
  );
  const runs = pairs.filter(({ features }) => madeForUse(features) === 'road-running');
  const alone =
    runs.length === 1 && week.filter(({ id }) => assignment[id] === runs[0]!.id).length > 2
      ? [
          'One pair takes every run. A second, different one lets foam recover and moves load between tissues: in one cohort, users of several pairs had 39 % fewer injuries (Malisoux 2015, from memory).',
        ]
      : [];
  return [...new Set([...without, ...rest, ...tooNew, ...together, ...alone])];
}
