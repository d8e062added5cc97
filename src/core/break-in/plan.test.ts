import { quickest } from '@tests/fixtures/quickest';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays } from '../calendar/days';
import { type OutingAnswer, stateOf } from './answers';
import { changesBetween } from './change';
import { type BreakInInput, type BreakInOuting, planBreakIn, shareAllowed } from './plan';
import { LEAST_PART, shareWeek, type WeekLimits } from './week-share';

const MONDAY = '2031-06-16';
const outing = (day: number, amount: number, isLong = false): BreakInOuting => ({
  id: `${day} ${amount}`,
  day,
  amount,
  isLong,
});
/** Tuesday 8, Thursday 8, Saturday 16 long. */
const WEEK = [outing(1, 8), outing(3, 8), outing(5, 16, true)];
const plan = (over: Partial<BreakInInput> = {}) =>
  planBreakIn({
    startOn: MONDAY,
    unit: 'km',
    outings: WEEK,
    changeWeeks: 0,
    plan: 'home-trial',
    homeTrialDays: 7,
    events: [],
    oldLeft: 200,
    answers: [],
    ...over,
  });
const newDays = (of: ReturnType<typeof plan>) =>
  of.weeks.flatMap(({ days }) => days.filter(({ inNew }) => inNew > 0));

const anyWeek = fc
  .uniqueArray(
    fc.record({
      day: fc.integer({ min: 0, max: 6 }),
      amount: fc.integer({ min: 1, max: 30 }),
      isLong: fc.boolean(),
    }),
    {
      selector: ({ day, amount }) => `${day} ${amount}`,
      minLength: 1,
      maxLength: 8,
    },
  )
  .map((days) => days.map(({ day, amount, isLong }) => outing(day, amount, isLong)));

describe('the new pair on the patient’s own days', () => {
  it('a week indoors, two short outings, then one as usual; the long outing only after that', () => {
    const { weeks, doneOn } = plan();
    const first = weeks[0]!.days.filter(({ step }) => step === 'indoors');
    expect(first).toHaveLength(7);
    expect(newDays(plan()).map(({ on, inNew, step }) => [on, inNew, step])).toEqual([
      ['2031-06-24', 4, 'short'],
      ['2031-06-26', 4, 'short'],
      ['2031-07-01', 8, 'full'],
      ['2031-07-03', 8, 'full'],
    ]);
    expect(doneOn).toBe('2031-07-07');
  });

  it('a large change takes as many weeks as it asks, its share rising from week to week', () => {
    const { weeks, doneOn } = plan({ changeWeeks: 8, plan: 'short-first' });
    const shares = weeks.map(({ share }) => share);
    expect(shares[0]).toBeCloseTo(1 / 8, 6);
    for (let week = 1; week < 4; week += 1) expect(shares[week]).toBeCloseTo((week + 1) / 8, 6);
    // The long outing stays in the old pair until the end: never more than half of this week.
    expect(Math.max(...shares)).toBeCloseTo(0.5, 6);
    expect(doneOn).toBe(addDays(MONDAY, 56));
  });

  it('an event before the end is done in the old pair, and it is said whether that can still give it', () => {
    const race = { on: '2031-06-28', days: 1, name: 'Island run', amount: 21 };
    const notes = (oldLeft: number | null) => plan({ events: [race], oldLeft }).notes;
    expect(notes(200)).toEqual([{ kind: 'event-in-old', name: 'Island run', on: race.on, old: 'enough' }]);
    expect(notes(30)).toMatchObject([{ old: 'not-enough' }]);
    expect(notes(null)).toMatchObject([{ old: 'unknown' }]);
    expect(plan({ events: [{ ...race, on: '2031-08-01' }] }).notes).toEqual([]);
  });

  it('three mild outings in a row ask for a refit, a severe one or another gait stops; the plan moves by what was not fine', () => {
    const mild = (count: number): OutingAnswer[] =>
      Array.from({ length: count }, (_, at) => ({ on: addDays(MONDAY, 8 + at), felt: 'mild' }));
    expect(plan({ answers: mild(2) }).state).toBe('going');
    expect(plan({ answers: mild(3) }).state).toBe('refit');
    // Refitted, and fine again.
    expect(plan({ answers: [...mild(3), { on: addDays(MONDAY, 30), felt: 'fine' }] }).state).toBe('going');
    expect(plan({ answers: [...mild(2), { on: addDays(MONDAY, 20), felt: 'fine' }] }).state).toBe('going');
    expect(plan({ answers: [{ on: MONDAY, felt: 'severe' }] }).state).toBe('stop');
    expect(plan({ answers: [{ on: MONDAY, felt: 'fine', gaitChanged: true }] }).state).toBe('stop');
    expect(plan({ changeWeeks: 8, answers: mild(2) }).doneOn > plan({ changeWeeks: 8 }).doneOn).toBe(true);
  });

  it('a foot at risk has days of its own: 45 minutes, a little more each day, and stops at the first mark', () => {
    const own = plan({ plan: 'at-risk' });
    const hours = own.weeks.flatMap(({ days }) => days.map(({ hoursAtHome }) => hoursAtHome!));
    expect(hours[0]).toBe(0.75);
    expect(hours.at(-1)).toBe(8);
    hours.slice(1).forEach((each, at) => {
      expect(each - hours[at]!).toBeLessThanOrEqual(0.75 + 1e-9);
    });
    expect(stateOf([{ on: MONDAY, felt: 'fine', marks: true }], true)).toBe('stop');
    expect(stateOf([{ on: MONDAY, felt: 'fine', marks: true }], false)).toBe('going');
    expect(plan({ plan: 'prosthesis' }).doneOn).toBe(addDays(MONDAY, 84));
  });

  it('a race pair is run in twice and then kept; a school that asks nothing still says that the change is large', () => {
    const race = plan({ plan: 'race' });
    expect(newDays(race)).toHaveLength(2);
    expect(newDays(race).every(({ step }) => step === 'short')).toBe(true);
    expect(plan({ plan: 'none', changeWeeks: 8 })).toMatchObject({
      doneOn: MONDAY,
      notes: [{ kind: 'large-change', weeks: 8 }],
    });
  });

  it('whatever the week: no day over its cap, no event and no long outing before the end, no share that falls, old and new on different days where that is asked', () => {
    fc.assert(
      fc.property(
        anyWeek,
        fc.constantFrom(0, 2, 4, 8, 16),
        fc.constantFrom('home-trial' as const, 'short-first' as const, 'alternate' as const),
        fc.integer({ min: 0, max: 6 }),
        fc.integer({ min: 0, max: 60 }),
        (outings, changeWeeks, school, startDay, eventDay) => {
          const startOn = addDays(MONDAY, startDay);
          const event = { on: addDays(startOn, eventDay), days: 1, name: 'e', amount: 5 };
          const made = plan({ outings, changeWeeks, plan: school, startOn, events: [event] });
          const total = outings.reduce((sum, { amount }) => sum + amount, 0);
          const indoors = school === 'home-trial' ? 1 : 0;
          const hasUsual = outings.some(({ isLong }) => !isLong);
          let last = 0;
          for (const [at, week] of made.weeks.entries()) {
            const cap = shareAllowed(Math.max(0, at - indoors), changeWeeks);
            const used = week.days.reduce((sum, { inNew }) => sum + inNew, 0);
            expect(used).toBeLessThanOrEqual(cap * total + 1e-6);
            const hasEvent = week.days.some(({ on }) => on === event.on);
            if (!hasEvent && school !== 'alternate' && at > 0 && last > 0)
              expect(week.share).toBeGreaterThanOrEqual(last - LEAST_PART);
            if (!hasEvent) last = week.share;
          }
          const fresh = newDays(made);
          expect(fresh.map(({ on }) => on)).not.toContain(event.on);
          if (hasUsual) {
            const long = new Set(outings.filter(({ isLong }) => isLong).map(({ amount }) => amount));
            const usual = new Set(outings.filter(({ isLong }) => !isLong).map(({ amount }) => amount));
            for (const { inNew, inOld } of fresh)
              expect(long.has(inNew + inOld) && !usual.has(inNew + inOld)).toBe(false);
          }
          if (school === 'alternate') {
            const days = [...new Set(fresh.map(({ on }) => on))];
            for (const on of days) expect(days).not.toContain(addDays(on, 1));
          }
        },
      ),
      { numRuns: 300 },
    );
  });

  it('26 weeks of fourteen outings are planned in 20 ms', () => {
    const outings = Array.from({ length: 14 }, (_, at) => ({ ...outing(at % 7, 5 + at), id: String(at) }));
    const made = () => plan({ outings, changeWeeks: 26, plan: 'short-first' });
    expect(made().weeks.length).toBeGreaterThanOrEqual(26);
    // Four times what it takes on an idle machine.
    expect(quickest(made)).toBeLessThan(80);
  });
});

describe('one week shared', () => {
  /** Every choice of outings, the amounts in tenths: another way to the same answer. */
  function byHand(
    outings: readonly { id: string; day: number; amount: number }[],
    limits: WeekLimits,
  ): number {
    let best = 0;
    for (let mask = 0; mask < 2 ** outings.length; mask += 1) {
      const chosen = outings.filter((each, at) => mask & (1 << at) && !limits.barred.has(each.id));
      const near = chosen.some((a) => chosen.some((b) => Math.abs(a.day - b.day) === 1));
      if (limits.onDifferentDays && near) continue;
      let total = 0;
      let count = 0;
      for (const { amount } of chosen.toSorted((a, b) => a.day - b.day)) {
        const room = count < limits.short.outings ? Math.min(amount, limits.short.most) : amount;
        const part = Math.min(room, limits.most - total);
        if (part <= 0 || part < amount * LEAST_PART - 1e-9) continue;
        total += part;
        count += 1;
      }
      best = Math.max(best, total);
    }
    return best;
  }

  it('takes as much as every choice of outings allows', () => {
    fc.assert(
      fc.property(
        anyWeek,
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.integer({ min: 0, max: 2 }),
        fc.boolean(),
        (outings, share, shorts, onDifferentDays) => {
          const dated = outings.toSorted((a, b) => a.day - b.day || (a.id < b.id ? -1 : 1));
          const limits: WeekLimits = {
            most: share * dated.reduce((sum, { amount }) => sum + amount, 0),
            short: { outings: shorts, most: 3 },
            onDifferentDays,
            barred: new Set(dated.filter(({ isLong }) => isLong).map(({ id }) => id)),
          };
          const { total, inNew } = shareWeek(dated, limits);
          expect(total).toBeCloseTo(byHand(dated, limits), 6);
          expect(Object.values(inNew).reduce((sum, each) => sum + each, 0)).toBeCloseTo(total, 6);
        },
      ),
      { numRuns: 300 },
    );
  });
});

describe('how far the new pair is from the old', () => {
  const from = { drop: 10, heelStack: 30, forefootStiffness: 2, mass: 280, category: 'neutral' };
  const changes = (to: object, over: object = {}) =>
    changesBetween({ from, to: { ...from, ...to }, newInsert: false, isBeginner: false, ...over });

  it('a pair like the last asks for nothing; the largest change sets the weeks', () => {
    expect(changes({})).toEqual([]);
    expect(changes({ drop: 7 })).toEqual([]);
    expect(changes({ drop: 4, mass: 120 }).map(({ axis, weeks }) => [axis, weeks])).toEqual([
      ['drop', 6],
      ['mass', 1],
    ]);
    expect(changes({ drop: 0, category: 'minimal' })[0]!.weeks).toBe(8);
    expect(changes({ category: 'minimal' }, { isBeginner: true })[0]).toMatchObject({
      axis: 'minimal',
      weeks: 16,
    });
    expect(changes({}, { newInsert: true })).toMatchObject([{ axis: 'insert', weeks: 3 }]);
  });

  it('what nobody knows of either pair is no change', () => {
    expect(changesBetween({ from: {}, to: from, newInsert: false, isBeginner: false })).toEqual([]);
  });
});
