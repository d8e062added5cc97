import { quickest } from '@tests/fixtures/quickest';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { amountFor, assignOuting, type WornThen } from './assign';
import { metresBetween } from './measure';
import { repeatsOf, sharedTime } from './overlap';
import { stepsToKm, usualStepM } from './steps';

describe('distance over the sphere', () => {
  it('a degree of latitude is 111.195 km (2πR / 360, R of IUGG 1980)', () =>
    expect(metresBetween({ lat: 50, lon: 7 }, { lat: 51, lon: 7 })).toBeCloseTo(111_195, -1));
  it('is the same back, and nothing to the same place', () =>
    fc.assert(
      fc.property(
        fc.double({ min: -89, max: 89, noNaN: true }),
        fc.double({ min: -179, max: 179, noNaN: true }),
        (lat, lon) => {
          const here = { lat, lon };
          const there = { lat: lat / 2, lon: lon / 3 };
          expect(metresBetween(here, here)).toBe(0);
          expect(metresBetween(here, there)).toBeCloseTo(metresBetween(there, here), 5);
        },
      ),
    ));
});

describe('two devices at one run', () => {
  it('are one outing; runs that only touch are two', () => {
    const run = { from: 1000, to: 4000 };
    expect(repeatsOf([run, { from: 1060, to: 3900 }, { from: 4000, to: 5000 }])).toEqual([null, 0, null]);
    expect(sharedTime(run, { from: 3900, to: 5000 })).toBeLessThan(0.5);
  });
  it('a day of steps twice is once, and what has no time repeats nothing', () =>
    expect(
      repeatsOf([
        { from: 10, to: 10 },
        { from: 10, to: 10 },
        { from: null, to: null },
        { from: null, to: null },
      ]),
    ).toEqual([null, 0, null, null]));
  it('a thousand runs are held against their neighbours alone', () => {
    const runs = Array.from({ length: 5000 }, (_, at) => ({ from: at * 100, to: at * 100 + 60 }));
    expect(repeatsOf(runs).every((repeat) => repeat === null)).toBe(true);
    expect(quickest(() => repeatsOf(runs), 3)).toBeLessThan(1000);
  });
});

describe('in which pair an outing was', () => {
  const pair = (part: Partial<WornThen> & { id: string }): WornThen => ({
    title: part.id,
    use: 'road-running',
    startedOn: '2030-01-01',
    endedOn: null,
    ...part,
  });
  const road = pair({ id: 'road' });
  const trail = pair({ id: 'trail', use: 'trail' });
  const walk = pair({ id: 'walk', use: 'walking' });
  const of = (
    sport: 'running' | 'walking' | 'hiking' | 'other',
    surface: 'road' | 'trail',
    pairs: WornThen[],
  ) => assignOuting({ sport, surface }, '2030-06-01', pairs).pair;
  it('follows what was done and where', () => {
    expect(of('running', 'road', [road, trail, walk])).toBe('road');
    expect(of('running', 'trail', [road, trail, walk])).toBe('trail');
    expect(of('walking', 'road', [road, trail, walk])).toBe('walk');
    expect(of('hiking', 'trail', [road, trail])).toBe('trail');
    expect(of('running', 'trail', [road])).toBe('road');
  });
  it('is for somebody to choose where two suit alike, none does, or nobody says what it was', () => {
    expect(of('running', 'road', [road, pair({ id: 'other' })])).toBeNull();
    expect(of('running', 'road', [walk])).toBeNull();
    expect(of('other', 'road', [road])).toBeNull();
    expect(assignOuting({ sport: 'running', surface: 'road' }, null, [road]).pair).toBeNull();
  });
  it('was in use that day', () => {
    expect(of('running', 'road', [pair({ id: 'gone', endedOn: '2030-05-01' }), road])).toBe('road');
    expect(of('running', 'road', [pair({ id: 'new', startedOn: '2030-07-01' })])).toBeNull();
  });
  it('counts in the clock of its use', () => {
    const outing = { km: 9, from: 0, to: 5400 };
    expect([amountFor('km', outing), amountFor('hours', outing), amountFor('days-worn', outing)]).toEqual([
      9, 1.5, 1,
    ]);
  });
});

it('steps are a distance by their length; a usual one follows the height', () => {
  expect(stepsToKm(10_000, 0.7)).toEqual({ ok: true, value: 7 });
  expect(stepsToKm(10, 3).ok).toBe(false);
  expect(usualStepM(1750)).toBe(0.72);
});
