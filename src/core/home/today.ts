import type { BreakInDay, BreakInInput, BreakInPlan } from '../break-in/plan';
import { addDays, type IsoDay } from '../calendar/days';
import type { Speech } from '../texts/speech';

/** Days that a page holds ahead, for a phone without a connection. */
const DAYS_AHEAD = 60;

/** What one day of a plan asks, in a sentence. */
function dayInWords(
  { inNew, inOld, hoursAtHome, step }: BreakInDay,
  unit: BreakInInput['unit'],
  { say, amount }: Speech,
): string {
  if (hoursAtHome !== null && hoursAtHome > 0)
    return say(step === 'indoors' ? 'home.step.indoors' : 'home.step.hours', {
      amount: amount(hoursAtHome, 'hours'),
    });
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
  const planned = new Map(plan.weeks.flatMap(({ days }) => days.map((day) => [day.on, day] as const)));
  return Array.from({ length: DAYS_AHEAD }, (_, at) => addDays(today, at)).map((on) => {
    if (plan.state !== 'going')
      return { on, text: say(plan.state === 'stop' ? 'home.step.stop' : 'home.step.refit') };
    const day = planned.get(on);
    if (day) return { on, text: dayInWords(day, unit, speech) };
    return { on, text: say(on >= plan.doneOn ? 'home.step.all' : 'home.step.rest') };
  });
}
