import { addDays, daysBetween, type IsoDay } from '../calendar/days';
import { type BreakInState, type OutingAnswer, outingsToRepeat, stateOf } from './answers';
import { wearDays } from './own-plans';
import { type BreakInSchool, HOME_TRIAL_DAYS, type OwnPlan, stopsAtFirst } from './schools';
import { shareWeek } from './week-share';

/** One outing of the patient's own week, the same each week. */
export interface BreakInOuting {
  id: string;
  /** 0 is Monday. */
  day: number;
  /** In the unit of the plan. */
  amount: number;
  isLong: boolean;
}

/** An event or a trip, with how far or long it goes in one day. */
export interface BreakInEvent {
  on: IsoDay;
  days: number;
  name: string;
  amount: number | null;
}

export type BreakInUnit = 'km' | 'hours';

export interface BreakInInput {
  startOn: IsoDay;
  unit: BreakInUnit;
  outings: readonly BreakInOuting[];
  /** Set by the largest change between the old pair and the new one; 0: alike. */
  changeWeeks: number;
  plan: BreakInSchool | OwnPlan;
  /** Days indoors before the first outing, of the school that has them. */
  homeTrialDays: number;
  events: readonly BreakInEvent[];
  /** What the old pair can still give, in the unit of the plan; null where nobody knows. */
  oldLeft: number | null;
  answers: readonly OutingAnswer[];
  /** A review stopped it: it is not worn until another review lets it go on. */
  stoppedOn?: IsoDay | null | undefined;
}

/** Where a break-in stands by what was answered, and by what a review stopped. */
export const breakInState = ({
  answers,
  plan,
  stoppedOn,
}: Pick<BreakInInput, 'answers' | 'plan' | 'stoppedOn'>): BreakInState =>
  stoppedOn ? 'stop' : stateOf(answers, stopsAtFirst(plan));

export type StepKind = 'indoors' | 'short' | 'rising' | 'full' | 'kept';

export interface BreakInDay {
  on: IsoDay;
  step: StepKind;
  /** Of the outing that day; 0 in both at home. */
  inNew: number;
  inOld: number;
  /** Of a day at home, hours at most. */
  hoursAtHome: number | null;
}

/** One week of the plan. */
export interface BreakInWeek {
  from: IsoDay;
  /** Share of the week's outings in the new pair, 0 to 1. */
  share: number;
  days: BreakInDay[];
}

export type BreakInNote =
  /** A right shoe may need nothing, but this one is far from the last. */
  | { kind: 'large-change'; weeks: number }
  /** An event before the plan is done is done in the old pair, which can still give it, or not, or nobody knows. */
  | { kind: 'event-in-old'; name: string; on: IsoDay; old: 'enough' | 'not-enough' | 'unknown' };

export interface BreakInPlan {
  weeks: BreakInWeek[];
  /** From that day on all outings may be in the new pair. */
  doneOn: IsoDay;
  state: BreakInState;
  notes: BreakInNote[];
}

/** The first outings are shorter than usual: half of a usual one, twice; then as long as usual. Ours. */
const SHORT_OUTINGS = 2;
const SHORT_SHARE = 0.5;
/** Hours at a time that a pair is tried indoors. Ours. */
const HOME_HOURS = 1;
/** Plans end here whatever is asked. */
const MOST_WEEKS = 60;
/** Monday of a week that is known: 2024-01-01. */
const A_MONDAY = '2024-01-01';
const weekdayOf = (on: IsoDay): number => ((daysBetween(A_MONDAY, on) % 7) + 7) % 7;

/** Days indoors of a school. */
const daysIndoors = ({ plan, homeTrialDays }: BreakInInput): number =>
  plan === 'home-trial' ? Math.min(HOME_TRIAL_DAYS.most, Math.max(HOME_TRIAL_DAYS.least, homeTrialDays)) : 0;

/** How much of a usual outing a short one is. */
function shortOf(outings: readonly BreakInOuting[]): number {
  const usual = outings.filter(({ isLong }) => !isLong);
  const amounts = (usual.length > 0 ? usual : outings).map(({ amount }) => amount);
  const mean = amounts.reduce((sum, amount) => sum + amount, 0) / Math.max(1, amounts.length);
  return mean * SHORT_SHARE;
}

const outingsIn = (days: readonly BreakInDay[]): number => days.filter(({ inNew }) => inNew > 0).length;

/** The share of a week that may be done in the new pair, so many weeks after its first outing. */
export const shareAllowed = (week: number, changeWeeks: number): number =>
  changeWeeks <= 1 ? 1 : Math.min(1, (week + 1) / changeWeeks);

/**
 * The new pair laid on the patient's own days: at home, short outings, a share that rises over as many weeks as the largest change
 * asks, all of it; no long outing and no event before its end. Answers move it: each outing that was not fine is done again.
 *
 * @throws never; weeks without outings get days at home and a share of nothing
 */
export function planBreakIn(input: BreakInInput): BreakInPlan {
  const { startOn, outings, plan, changeWeeks, answers, events } = input;
  const state = breakInState(input);
  if (plan === 'at-risk' || plan === 'orthosis' || plan === 'prosthesis')
    return { ...wearDays(input, plan), state };
  const delay = Math.ceil((outingsToRepeat(answers) * 7) / Math.max(1, outings.length));
  const firstOutingOn = addDays(startOn, daysIndoors(input));
  if (plan === 'none')
    return finished(input, state, {
      weeks: [],
      doneOn: addDays(startOn, delay),
      notes: changeWeeks > 1 ? [{ kind: 'large-change', weeks: changeWeeks }] : [],
    });
  const eventDays = new Set(
    events.flatMap(({ on, days }) => Array.from({ length: Math.max(1, days) }, (_, day) => addDays(on, day))),
  );
  const total = outings.reduce((sum, { amount }) => sum + amount, 0);
  // Where every outing is a long one, the plan shortens them.
  const hasUsual = outings.some(({ isLong }) => !isLong);
  const short = shortOf(outings);
  const weeks: BreakInWeek[] = [];
  const done: BreakInDay[] = [];
  let doneOn: IsoDay | null = total > 0 ? null : firstOutingOn;
  for (let week = 0; week < MOST_WEEKS && doneOn === null; week += 1) {
    const from = addDays(startOn, week * 7);
    const dated = Array.from({ length: 7 }, (_, day) => addDays(from, day)).flatMap((on, day) =>
      outings.filter((outing) => outing.day === weekdayOf(on)).map((outing) => ({ on, day, outing })),
    );
    // A week that the answers moved is the one before it again.
    const rising = Math.max(0, Math.floor((daysBetween(firstOutingOn, from) - delay) / 7));
    const allowed = plan === 'race' ? 1 : shareAllowed(rising, changeWeeks);
    const isStillNew = (on: IsoDay) =>
      plan === 'alternate' && done.some((day) => day.inNew > 0 && addDays(day.on, 1) === on);
    const { inNew } = shareWeek(
      dated.map(({ day, outing }) => ({ id: outing.id, day, amount: outing.amount })),
      {
        most: allowed * total,
        short: { outings: Math.max(0, SHORT_OUTINGS - outingsIn(done)), most: short },
        onDifferentDays: plan === 'alternate',
        barred: new Set(
          dated
            .filter(
              ({ on, outing }) =>
                on < firstOutingOn || (outing.isLong && hasUsual) || eventDays.has(on) || isStillNew(on),
            )
            .map(({ outing }) => outing.id),
        ),
      },
    );
    const days: BreakInDay[] = Array.from({ length: daysIndoors(input) }, (_, day) => addDays(startOn, day))
      .filter((on) => on >= from && on < addDays(from, 7))
      .map((on) => ({ on, step: 'indoors', inNew: 0, inOld: 0, hoursAtHome: HOME_HOURS }));
    for (const { on, outing } of dated) {
      // A race pair that was run in twice is kept.
      const isKept = plan === 'race' && outingsIn(done) >= SHORT_OUTINGS;
      const amount = isKept ? 0 : (inNew[outing.id] ?? 0);
      const step: StepKind =
        amount <= 0 ? 'kept' : outingsIn(done) < SHORT_OUTINGS ? 'short' : allowed >= 1 ? 'full' : 'rising';
      const day: BreakInDay = { on, step, inNew: amount, inOld: outing.amount - amount, hoursAtHome: null };
      days.push(day);
      done.push(day);
    }
    const share = days.reduce((sum, day) => sum + day.inNew, 0) / total;
    weeks.push({ from, share, days: days.toSorted((a, b) => (a.on < b.on ? -1 : 1)) });
    const isDone =
      plan === 'race' ? outingsIn(done) >= SHORT_OUTINGS : done.some(({ step }) => step === 'full');
    if (isDone) doneOn = addDays(from, 7);
  }
  return finished(input, state, { weeks, doneOn: doneOn ?? addDays(startOn, MOST_WEEKS * 7), notes: [] });
}

/** What is said of events that come before the plan is done. */
function finished(
  { events, oldLeft, outings, startOn }: BreakInInput,
  state: BreakInState,
  plan: Pick<BreakInPlan, 'weeks' | 'doneOn' | 'notes'>,
): BreakInPlan {
  const weekly = outings.reduce((sum, { amount }) => sum + amount, 0);
  const early = events
    .filter(({ on }) => on >= startOn && on < plan.doneOn)
    .toSorted((a, b) => (a.on < b.on ? -1 : 1))
    .map(({ name, on, amount, days }): BreakInNote => {
      const inOld = plan.weeks
        .flatMap((week) => week.days)
        .filter((day) => day.on < on)
        .reduce((sum, day) => sum + day.inOld, 0);
      const needed = inOld + (amount ?? weekly / 7) * Math.max(1, days);
      return {
        kind: 'event-in-old',
        name,
        on,
        old: oldLeft === null ? 'unknown' : oldLeft >= needed ? 'enough' : 'not-enough',
      };
    });
  return { ...plan, notes: [...plan.notes, ...early], state };
}
