import { quickest } from '@tests/fixtures/quickest';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { planWeek } from './plan';
import {
  loadDifference,
  NEW_SHARE,
  type PairToPlan,
  type Session,
  servesSession,
  weekCost,
  weeklyOf,
  withRacesLeft,
} from './week';

const session = (id: string, day: number, over: Partial<Session> = {}): Session => ({
  id,
  day,
  activity: 'road-running',
  kind: 'easy',
  amount: 8,
  ...over,
});
const pair = (id: string, over: Partial<PairToPlan> = {}): PairToPlan => ({
  id,
  features: { use: 'road-running', drop: 8, heelStack: 30 },
  used: 200,
  life: 640,
  ...over,
});
const RACER = pair('racer', { features: { use: 'racing', drop: 8, heelStack: 38 }, life: 360 });

const pairsOfAWeek = fc.array(
  fc.record({
    use: fc.constantFrom('road-running', 'racing', 'trail', 'walking'),
    drop: fc.constantFrom(0, 4, 8, 12),
    used: fc.constantFrom(0, 30, 200, 500),
  }),
  { minLength: 1, maxLength: 3 },
);
const sessionsOfAWeek = fc.array(
  fc.record({
    day: fc.integer({ min: 0, max: 6 }),
    activity: fc.constantFrom('road-running' as const, 'racing' as const, 'trail' as const),
    kind: fc.constantFrom('easy' as const, 'long' as const, 'fast' as const, 'race' as const),
    amount: fc.integer({ min: 3, max: 25 }),
  }),
  { minLength: 1, maxLength: 5 },
);

describe('a week’s plan', () => {
  it('is the cheapest of all that there are, by trying every one', () => {
    fc.assert(
      fc.property(pairsOfAWeek, sessionsOfAWeek, (some, outings) => {
        const pairs = some.map(({ use, drop, used }, at) =>
          pair(`p${at}`, { features: { use, drop }, used }),
        );
        const sessions = outings.map((outing, at) => ({ ...outing, id: `s${at}` }));
        const plan = planWeek(sessions, pairs);
        const open = sessions.filter(({ id }) => !plan.without.includes(id));
        let cheapest = Number.POSITIVE_INFINITY;
        const every = (at: number, so: Record<string, string>) => {
          const next = open[at];
          if (!next) {
            cheapest = Math.min(cheapest, weekCost(open, pairs, so));
            return;
          }
          for (const entry of pairs)
            if (servesSession(entry, next) > 0) every(at + 1, { ...so, [next.id]: entry.id });
        };
        every(0, {});
        if (open.length > 0) expect(plan.cost).toBeCloseTo(cheapest, 9);
        expect(plan.isBest).toBe(true);
        for (const id of plan.without)
          expect(pairs.every((entry) => servesSession(entry, sessions.find((s) => s.id === id)!) === 0)).toBe(
            true,
          );
      }),
      { numRuns: 150 },
    );
  });

  it('two different pairs alternate from day to day', () => {
    const pairs = [
      pair('low', { features: { use: 'road-running', drop: 2 } }),
      pair('high', { features: { use: 'road-running', drop: 12 } }),
    ];
    const { assignment } = planWeek(
      [0, 1, 2, 3, 4, 5].map((day) => session(`s${day}`, day)),
      pairs,
    );
    for (let day = 1; day < 6; day += 1) expect(assignment[`s${day}`]).not.toBe(assignment[`s${day - 1}`]);
  });

  it('a race goes to the race pair, and easy runs do not, until its races are used up', () => {
    const week = [
      session('easy', 1),
      session('fast', 3, { kind: 'fast' }),
      session('race', 6, { activity: 'racing', kind: 'race' }),
    ];
    const { assignment } = planWeek(week, [pair('trainer'), RACER]);
    expect(assignment).toMatchObject({ easy: 'trainer', race: 'racer' });
    expect(planWeek(week, [pair('trainer'), { ...RACER, racesLeft: 0 }]).assignment.race).toBe('trainer');
  });

  it('races that are left follow from the distance that is raced, a half marathon where nobody says it', () => {
    const race = session('race', 6, { activity: 'racing', kind: 'race', amount: 40 });
    const left = (sessions: Session[]) =>
      withRacesLeft([RACER, pair('trainer')], sessions).map(({ racesLeft }) => racesLeft);
    expect(left([race])).toEqual([4, undefined]);
    expect(left([])).toEqual([7, undefined]);
  });

  it('a new pair is given no more than its share', () => {
    const week = [0, 2, 4, 6].map((day) => session(`s${day}`, day, { amount: 10 }));
    const plan = planWeek(week, [pair('old'), pair('new', { used: 5 })]);
    expect((weeklyOf(week, plan.assignment).get('new') ?? 0) / 40).toBeLessThanOrEqual(NEW_SHARE);
  });

  it('hours at work do not count as kilometres of which a new pair may take a share', () => {
    const work = pair('clog', { features: { use: 'work' }, life: 1500 });
    const week = [
      ...[0, 2, 4, 6].map((day) => session(`s${day}`, day, { amount: 10 })),
      session('shift', 1, { activity: 'standing-work', kind: 'other', amount: 40 }),
    ];
    const plan = planWeek(week, [pair('old'), pair('new', { used: 5 }), work]);
    expect(plan.assignment.shift).toBe('clog');
    expect((weeklyOf(week, plan.assignment).get('new') ?? 0) / 40).toBeLessThanOrEqual(NEW_SHARE);
  });

  it('what a person settled stays, and what no pair serves is said', () => {
    const week = [session('run', 0), session('dance', 2, { activity: 'dress' })];
    const plan = planWeek(week, [pair('a'), pair('b')], { run: 'b' });
    expect(plan.assignment.run).toBe('b');
    expect(plan.without).toEqual(['dance']);
  });

  it('fourteen outings in five pairs keep nobody waiting', () => {
    const week = Array.from({ length: 14 }, (_, at) => session(`s${at}`, at % 7, { amount: 5 + at }));
    const pairs = [0, 4, 8, 10, 12].map((drop, at) =>
      pair(`p${at}`, { features: { use: 'road-running', drop }, used: at * 100 }),
    );
    expect(Object.keys(planWeek(week, pairs).assignment)).toHaveLength(14);
    expect(quickest(() => planWeek(week, pairs), 3)).toBeLessThan(2000);
  });
});

it('pairs of the same values load alike, and the difference grows with drop', () => {
  const drop = (mm: number) => ({ drop: mm });
  expect(loadDifference(drop(8), drop(8))).toBe(0);
  expect(loadDifference(drop(4), drop(8))).toBeLessThan(loadDifference(drop(0), drop(8)));
});
