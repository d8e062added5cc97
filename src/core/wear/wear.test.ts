import { describe, expect, it } from 'vitest';
import { keysOf } from '../tables/keys-of';
import { milesToKm } from '../units/distance';
import { CLOCK_OF_USE, priorLifeOf, type RacingUse, type Use, usedUpAfter } from './clocks';
import { cushioningKept } from './cushioning';
import { type WearInput, wearForecast } from './forecast';
import { calendarLife, LIFE_SCHOOLS, type LifeSchool, lifeQuantile } from './life-schools';

/** Cook, Kester & Brunet 1985, Am J Sports Med, from memory. */
describe('cushioning', () => {
  it('keeps about 75 % after 50 mi and about 67 % after 100–150 mi', () => {
    expect(cushioningKept(milesToKm(50))).toBeCloseTo(0.75, 2);
    for (const miles of [100, 125, 150])
      expect(Math.abs(cushioningKept(milesToKm(miles)) - 0.67)).toBeLessThan(0.03);
  });

  it('keeps under 60 % between 250 and 500 mi, and is whole when new', () => {
    for (const miles of [250, 375, 500]) expect(cushioningKept(milesToKm(miles))).toBeLessThan(0.6);
    expect(cushioningKept(0)).toBe(1);
  });
});

describe('life of a pair', () => {
  const km = (use: Use, ...rest: [LifeSchool, RacingUse?]) => priorLifeOf(use, ...rest).life;

  it('by default half of all trainers last 400 mi (644 km), 80 % between about 280 and 570 mi (handbook 08)', () => {
    const life = km('road-running', 'median');
    expect(lifeQuantile(life, 0.5)).toBeCloseTo(643.7, 1);
    expect(lifeQuantile(life, 0.1) / milesToKm(1)).toBeCloseTo(280, -1);
    expect(lifeQuantile(life, 0.9) / milesToKm(1)).toBeCloseTo(570, -1);
  });

  it('each school’s range is its middle 80 %', () => {
    for (const school of ['cautious', 'retail', 'shops', 'podiatry', 'chiropractic'] as const) {
      const life = km('road-running', school);
      expect(lifeQuantile(life, 0.1)).toBeCloseTo(milesToKm(LIFE_SCHOOLS[school].miles[0]), 1);
      expect(lifeQuantile(life, 0.9)).toBeCloseTo(milesToKm(LIFE_SCHOOLS[school].miles[1]), 1);
    }
  });

  it('racing pairs last 200–250 mi where they are trained in, four to five half or full marathons where only raced', () => {
    expect(lifeQuantile(km('racing', 'shops'), 0.9) / milesToKm(1)).toBeCloseTo(250, 0);
    const raced = km('racing', 'shops', 'raced-only');
    expect(lifeQuantile(raced, 0.1)).toBeCloseTo(4 * 21.1, 0);
    expect(lifeQuantile(raced, 0.9)).toBeCloseTo(5 * 42.2, 0);
  });

  it('each use has its own clock; what nobody states is ours, and wide', () => {
    for (const use of keysOf(CLOCK_OF_USE)) {
      const { clock, life, from } = priorLifeOf(use, 'median');
      expect(clock, use).toBe(CLOCK_OF_USE[use]);
      if (clock !== 'km') {
        expect(from, use).toBe('ours');
        expect(lifeQuantile(life, 0.9) / lifeQuantile(life, 0.1), use).toBeGreaterThan(3);
      }
    }
    expect(priorLifeOf('road-running', 'podiatry').from).toBe('practice');
  });

  it('only podiatry states months', () => {
    expect(keysOf(LIFE_SCHOOLS).filter((school) => calendarLife(school) !== null)).toEqual(['podiatry']);
  });

  it('the chance to be used up is the share of such pairs that are, and never falls with use', () => {
    const life = km('road-running', 'median');
    for (const q of [0.1, 0.5, 0.9] as const)
      expect(usedUpAfter(life, lifeQuantile(life, q))).toBeCloseTo(q, 4);
    expect(usedUpAfter(life, 0)).toBe(0);
    for (let at = 0; at < 2000; at += 50)
      expect(usedUpAfter(life, at + 50)).toBeGreaterThanOrEqual(usedUpAfter(life, at));
  });
});

const base: WearInput = {
  school: 'median',
  use: 'road-running',
  bodyMassKg: null,
  surface: null,
  ageDays: 100,
  log: [{ day: 50, amount: 300 }],
  expectedWeekly: null,
};

describe('replacement window', () => {
  it('300 km in 100 days is 21 km a week: half of such pairs are done after 215 days', () => {
    const forecast = wearForecast(base);
    expect(forecast.basis).toBe('log');
    expect(forecast.weekly).toBeCloseTo(21, 6);
    expect(forecast.windowDays?.q50).toBeCloseTo(643.7 / 3, 0);
    expect(forecast.state).toBe('in-life');
  });

  it('brings the next pair in with a third of the life left, warns in the window, and says when it is over', () => {
    const at = (amount: number) => wearForecast({ ...base, log: [{ day: 1, amount }] }).state;
    expect(at(200)).toBe('in-life');
    expect(at(435)).toBe('bring-in-next');
    expect(at(600)).toBe('in-window');
    expect(at(1000)).toBe('overdue');
  });

  it('heavier and harder wear out sooner', () => {
    const median = (over: Partial<WearInput>) => wearForecast({ ...base, ...over }).life.q50;
    expect(median({ bodyMassKg: 95 })).toBeLessThan(median({ bodyMassKg: 60 }));
    expect(median({ surface: 'hard' })).toBeLessThan(median({ surface: 'soft' }));
    expect(wearForecast({ ...base, bodyMassKg: 95, surface: 'hard' }).adjustments).toHaveLength(2);
  });

  it('without a log it takes the stated week; without either the calendar, where the school states one', () => {
    expect(wearForecast({ ...base, log: [], expectedWeekly: 30 }).basis).toBe('stated');
    const idle = { ...base, log: [], ageDays: 400 };
    expect(wearForecast({ ...idle, school: 'podiatry' })).toMatchObject({
      basis: 'calendar',
      used: null,
      state: 'overdue',
    });
    // Camps that state no months are given none: only that foam ages.
    expect(wearForecast(idle)).toMatchObject({ basis: 'shelf', used: null, state: 'in-life' });
    // Podiatry's months are for running pairs.
    expect(wearForecast({ ...idle, school: 'podiatry', use: 'court' }).basis).toBe('shelf');
  });

  it('lifting and dress pairs do not turn overdue by the calendar, however long they stand there', () => {
    for (const use of ['lifting', 'dress'] as const) {
      const stood = wearForecast({ ...base, use, log: [], ageDays: 9000, school: 'podiatry' });
      expect(stood).toMatchObject({
        basis: 'unknown',
        state: 'unknown',
        windowDays: null,
        startNextDay: null,
      });
      const worn = wearForecast({ ...base, use, log: [{ day: 5, amount: 20 }], ageDays: 3000 });
      expect(worn.state).toBe('in-life');
      const hardly = wearForecast({ ...base, use, log: [], expectedWeekly: 0.0001 });
      expect(hardly.windowDays!.q90).toBe(36_525);
    }
  });

  it('a pair counts in its own clock: hours of play for a court shoe', () => {
    const court = wearForecast({ ...base, use: 'court', log: [{ day: 50, amount: 60 }] });
    expect(court.life.clock).toBe('hours');
    expect(court.weekly).toBeCloseTo(4.2, 6);
    expect(court.windowDays!.q50).toBeCloseTo(100 + ((court.life.q50 - 60) / 4.2) * 7, 6);
  });

  it('foam ages, worn or not, and from the day on which it was made', () => {
    const idle = { ...base, log: [], expectedWeekly: 0.5, ageDays: 0 };
    const fresh = wearForecast(idle);
    expect(fresh.windowDays!.q10).toBeCloseTo(2 * 365.25, 6);
    expect(fresh.adjustments.at(-1)).toMatch(/foam ages/);
    expect(wearForecast(base).adjustments.join()).not.toMatch(/foam/);
    // Three years in a box are three years.
    const stored = wearForecast({ ...idle, madeDaysAgo: 3 * 365.25 });
    expect(stored.windowDays!.q50).toBeCloseTo(fresh.windowDays!.q50 - 3 * 365.25, 6);
    expect(stored.windowDays!.q10).toBe(0);
  });

  it('10, 50 and 90 % come in order', () => {
    const { q10, q50, q90 } = wearForecast(base).windowDays!;
    expect(q10).toBeLessThan(q50);
    expect(q50).toBeLessThan(q90);
  });

  it('the calendar too brings the next pair in with a third of the middle life left', () => {
    const at = (ageDays: number) => wearForecast({ ...base, school: 'podiatry', log: [], ageDays });
    const { windowDays, startNextDay } = at(0);
    // Podiatry, 6 to 10 months: the geometric middle is 7.7 months.
    expect(windowDays!.q50).toBeCloseTo(Math.sqrt(6 * 10) * 30.44, 6);
    expect(startNextDay).toBeCloseTo((windowDays!.q50 * 2) / 3, 9);
    expect(at(Math.floor(startNextDay!)).state).toBe('in-life');
    expect(at(Math.ceil(startNextDay!)).state).toBe('bring-in-next');
    expect(at(Math.ceil(windowDays!.q10)).state).toBe('in-window');
    expect(at(Math.floor(windowDays!.q90)).state).toBe('in-window');
    expect(at(Math.ceil(windowDays!.q90)).state).toBe('overdue');
  });

  it('a log of under three weeks does not yet speak for the weeks to come', () => {
    const young = (ageDays: number) =>
      wearForecast({ ...base, ageDays, log: [{ day: 2, amount: 90 }], expectedWeekly: 20 });
    expect(young(20)).toMatchObject({ basis: 'stated', weekly: 20, used: 90 });
    expect(young(21)).toMatchObject({ basis: 'log', weekly: 30, used: 90 });
    expect(young(20).dominates).toMatch(/stated, not logged/);
  });

  it('what is logged counts even where more was stated, and a stated week counts where nothing is logged', () => {
    const stated = wearForecast({ ...base, log: [], ageDays: 70, expectedWeekly: 20 });
    expect(stated.used).toBeCloseTo(200, 6);
  });

  it('body mass moves the life by a quarter, either way, and bodies beyond what is known by no more', () => {
    const life = (bodyMassKg: number | null) => wearForecast({ ...base, bodyMassKg }).life.q50;
    expect(life(70)).toBeCloseTo(life(null), 6);
    expect(life(45) / life(70)).toBeCloseTo(1.25, 2);
    expect(life(125) / life(70)).toBeCloseTo(0.75, 2);
    expect(life(20)).toBe(life(45));
    expect(life(200)).toBe(life(125));
    expect(life(100)).toBeCloseTo(Math.sqrt(0.7) * life(70), 6);
  });
});
