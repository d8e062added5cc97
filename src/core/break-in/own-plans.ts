import { addDays } from '../calendar/days';
import { outingsToRepeat } from './answers';
import type { BreakInDay, BreakInInput, BreakInPlan, BreakInWeek } from './plan';
import type { OwnPlan } from './schools';

/** Hours at first, hours more each day, and where a day is whole. 30 to 60 minutes at first and a day (handbook 07); the whole day is ours. */
const HOURS: Readonly<
  Record<Exclude<OwnPlan, 'prosthesis'>, { first: number; more: number; whole: number }>
> = {
  'at-risk': { first: 0.75, more: 0.75, whole: 8 },
  orthosis: { first: 1, more: 1, whole: 8 },
};
/** A new prosthesis keeps its one pair for the first two to three months (handbook 07). */
const PROSTHESIS_WEEKS = 12;

/** Days of a foot that is looked at each time: hours rise from day to day; each day that left a mark is done again. */
export function wearDays(
  { startOn, answers }: Pick<BreakInInput, 'startOn' | 'answers'>,
  plan: OwnPlan,
): Omit<BreakInPlan, 'state'> {
  if (plan === 'prosthesis') return { weeks: [], doneOn: addDays(startOn, PROSTHESIS_WEEKS * 7), notes: [] };
  const { first, more, whole } = HOURS[plan];
  const again = outingsToRepeat(answers);
  const count = Math.ceil((whole - first) / more) + 1 + again;
  const days = Array.from({ length: count }, (_, day): BreakInDay => {
    const step = Math.max(0, day - again);
    const hours = Math.min(whole, first + more * step);
    return {
      on: addDays(startOn, day),
      step: hours >= whole ? 'full' : 'rising',
      inNew: 0,
      inOld: 0,
      hoursAtHome: hours,
    };
  });
  const weeks: BreakInWeek[] = [];
  for (let at = 0; at < days.length; at += 7) {
    const week = days.slice(at, at + 7);
    weeks.push({ from: week[0]!.on, share: (week.at(-1)!.hoursAtHome ?? 0) / whole, days: week });
  }
  return { weeks, doneOn: addDays(startOn, count), notes: [] };
}
