import { describe, expect, it } from 'vitest';
import { milesToKm } from '../units/distance';
import { cushioningKept } from './cushioning';
import { type WearInput, wearForecast } from './forecast';
import { distanceLife, LIFE_SCHOOLS, lifeQuantile } from './life-schools';

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
  it('by default half of all pairs last 400 mi (644 km), 80 % between about 280 and 570 mi (handbook 08)', () => {
    const life = distanceLife('median', false);
    expect(lifeQuantile(life, 0.5)).toBeCloseTo(643.7, 1);
    expect(lifeQuantile(life, 0.1) / milesToKm(1)).toBeCloseTo(280, -1);
    expect(lifeQuantile(life, 0.9) / milesToKm(1)).toBeCloseTo(570, -1);
  });

  it('each school’s range is its middle 80 %', () => {
    for (const school of ['cautious', 'retail', 'shops', 'podiatry', 'chiropractic'] as const) {
      const life = distanceLife(school, false);
      expect(lifeQuantile(life, 0.1)).toBeCloseTo(milesToKm(LIFE_SCHOOLS[school].miles[0]), 1);
      expect(lifeQuantile(life, 0.9)).toBeCloseTo(milesToKm(LIFE_SCHOOLS[school].miles[1]), 1);
    }
  });

  it('racing pairs last 200–250 mi in every school', () => {
    expect(lifeQuantile(distanceLife('shops', true), 0.9) / milesToKm(1)).toBeCloseTo(250, 0);
  });
});

const base: WearInput = {
  school: 'median',
  racing: false,
  bodyMassKg: null,
  surface: null,
  ageDays: 100,
  log: [{ day: 50, distanceKm: 300 }],
  expectedWeeklyKm: null,
};

describe('replacement window', () => {
  it('300 km in 100 days is 21 km a week: half of such pairs are done after 215 days', () => {
    const forecast = wearForecast(base);
    expect(forecast.basis).toBe('log');
    expect(forecast.weeklyKm).toBeCloseTo(21, 6);
    expect(forecast.windowDays.q50).toBeCloseTo(643.7 / 3, 0);
    expect(forecast.state).toBe('fresh');
  });

  it('brings the next pair in with a third of the life left, warns in the window, and says when it is over', () => {
    const at = (distanceKm: number) => wearForecast({ ...base, log: [{ day: 1, distanceKm }] }).state;
    expect(at(200)).toBe('fresh');
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

  it('without a log it takes the stated week, without either the calendar', () => {
    expect(wearForecast({ ...base, log: [], expectedWeeklyKm: 30 }).basis).toBe('stated');
    const calendar = wearForecast({ ...base, log: [], ageDays: 400 });
    expect(calendar).toMatchObject({ basis: 'calendar', usedKm: null, state: 'overdue' });
  });

  it('a pair that is hardly worn still ages: no window lies beyond about two and a half years', () => {
    const forecast = wearForecast({ ...base, log: [], expectedWeeklyKm: 3, ageDays: 0 });
    expect(forecast.windowDays).toEqual({ q10: 540, q50: 730, q90: 910 });
    expect(forecast.adjustments.at(-1)).toMatch(/foam ages/);
    expect(wearForecast(base).adjustments.join()).not.toMatch(/foam/);
  });

  it('10, 50 and 90 % come in order', () => {
    const { q10, q50, q90 } = wearForecast(base).windowDays;
    expect(q10).toBeLessThan(q50);
    expect(q50).toBeLessThan(q90);
  });

  it('the calendar too brings the next pair in with a third of the middle life left', () => {
    const at = (ageDays: number) => wearForecast({ ...base, log: [], ageDays });
    const { windowDays, startNextDay } = at(0);
    // The middle of all schools, 6 to 12 months: the geometric middle is 8.5 months.
    expect(windowDays.q50).toBeCloseTo(Math.sqrt(6 * 12) * 30.44, 6);
    expect(startNextDay).toBeCloseTo((windowDays.q50 * 2) / 3, 9);
    expect(at(Math.floor(startNextDay)).state).toBe('fresh');
    expect(at(Math.ceil(startNextDay)).state).toBe('bring-in-next');
    expect(at(Math.ceil(windowDays.q10)).state).toBe('in-window');
    expect(at(Math.floor(windowDays.q90)).state).toBe('in-window');
    expect(at(Math.ceil(windowDays.q90)).state).toBe('overdue');
  });

  it('a log of under three weeks does not yet speak for the weeks to come', () => {
    const young = (ageDays: number) =>
      wearForecast({ ...base, ageDays, log: [{ day: 2, distanceKm: 90 }], expectedWeeklyKm: 20 });
    expect(young(20)).toMatchObject({ basis: 'stated', weeklyKm: 20, usedKm: 90 });
    expect(young(21)).toMatchObject({ basis: 'log', weeklyKm: 30, usedKm: 90 });
    expect(young(20).dominates).toMatch(/stated, not logged/);
  });

  it('what is logged counts even where more was stated, and a stated week counts where nothing is logged', () => {
    const stated = wearForecast({ ...base, log: [], ageDays: 70, expectedWeeklyKm: 20 });
    expect(stated.usedKm).toBeCloseTo(200, 6);
  });

  it('body mass moves the life by a quarter at most, either way', () => {
    const life = (bodyMassKg: number | null) => wearForecast({ ...base, bodyMassKg }).life.q50;
    expect(life(70)).toBeCloseTo(life(null), 6);
    expect(life(20)).toBeCloseTo(1.25 * life(70), 6);
    expect(life(200)).toBeCloseTo(0.75 * life(70), 6);
    expect(life(100)).toBeCloseTo(Math.sqrt(0.7) * life(70), 6);
  });
});
