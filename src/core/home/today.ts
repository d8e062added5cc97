import type { BreakInDay, BreakInInput, BreakInPlan } from '../break-in/plan';
import { addDays, type IsoDay } from '../calendar/days';
import { groupBy } from '../tables/group-by';
import type { Speech } from '../texts/speech';

/** Days that a page holds ahead, for a phone without a connection. */
const DAYS_AHEAD = 60;

const sumOf = (amounts: readonly number[]): number => amounts.reduce((sum, one) => sum + one, 0);

/** What one date of a plan asks, in a sentence: it may be a day at home and that of an outing, or of two. */
function dateInWords(
  days: readonly BreakInDay[],
  unit: BreakInInput['unit'],
  { say, amount }: Speech,
): string {
  const inNew = sumOf(days.map((day) => day.inNew));
  const inOld = sumOf(days.map((day) => day.inOld));
  const atHome = days.find(({ hoursAtHome }) => hoursAtHome !== null && hoursAtHome > 0);
  if (atHome) {
    const indoors = inOld > 0 ? 'home.step.indoors-old' : 'home.step.indoors';
    return say(atHome.step === 'indoors' ? indoors : 'home.step.hours', {
      amount: amount(atHome.hoursAtHome ?? 0, 'hours'),
    });
  }
  if (inNew <= 0) return say('home.step.old');
  return inOld > 0
    ? say('home.step.part', { amount: amount(inNew, unit), rest: amount(inOld, unit) })
    : say('home.step.new', { amount: amount(inNew, unit) });
}

/**
 * What each of the coming days asks of the wearer; after the last day of the plan, all outings. What stands in the way of a pair comes
 * before any plan.
 */
export function daysInWords(
  plan: BreakInPlan,
  unit: BreakInInput['unit'],
  speech: Speech,
  today: IsoDay,
): { on: IsoDay; text: string }[] {
  const { say } = speech;
  const planned = groupBy(
    plan.weeks.flatMap(({ days }) => days),
    ({ on }) => on,
  );
  return Array.from({ length: DAYS_AHEAD }, (_, at) => addDays(today, at)).map((on) => {
    if (plan.state !== 'going')
      return { on, text: say(plan.state === 'stop' ? 'home.step.stop' : 'home.step.refit') };
    const days = planned.get(on);
    if (days) return { on, text: dateInWords(days, unit, speech) };
    return { on, text: say(on >= plan.doneOn ? 'home.step.all' : 'home.step.rest') };
  });
}
