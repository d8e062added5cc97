import { describe, expect, it } from 'vitest';
import { normalBelow } from '../statistics/normal';
import { calibrationOf, type Foretold, readGuesses } from './calibration';

const life = { q10: 500 * Math.exp(-0.5 * 1.281552), q50: 500, q90: 500 * Math.exp(0.5 * 1.281552) };
/** Pairs whose lives are spread evenly over what was foretold: the middle of each of `n` equal shares. */
const evenly = (n: number, stretch = 1): number[] =>
  Array.from({ length: n }, (_, at) => {
    // The quantile of a standard normal by bisection.
    let [low, high] = [-6, 6];
    for (let step = 0; step < 60; step += 1) {
      const middle = (low + high) / 2;
      if (normalBelow(middle) < (at + 0.5) / n) low = middle;
      else high = middle;
    }
    return 500 * stretch * Math.exp(0.5 * low);
  });
const worn = (used: number, at = 0): Foretold => ({ patient: `p${at}`, life, used, isWornOut: true });

describe('lives held against what was foretold', () => {
  it('lie where they were foretold when they are spread as foretold', () => {
    for (const { foretold, seen } of calibrationOf(evenly(200).map(worn)))
      expect(seen).toBeCloseTo(foretold, 1);
  });

  it('lie above when pairs go sooner than foretold, below when they last longer', () => {
    const soon = calibrationOf(evenly(200, 0.5).map(worn));
    const late = calibrationOf(evenly(200, 2).map(worn));
    for (const at of [0, 1, 2]) expect(soon[at]!.seen).toBeGreaterThan(late[at]!.seen + 0.2);
    expect(soon[1]!.from).toBeGreaterThan(0.5);
    expect(late[1]!.to).toBeLessThan(0.5);
  });

  it('are not fooled by pairs that are still worn: each is followed until now', () => {
    // Every pair is looked at when it has gone as far as at most half of such pairs go.
    const looked = evenly(400).map((used, at): Foretold => {
      const until = 500;
      return used <= until ? worn(used, at) : { ...worn(until, at), isWornOut: false };
    });
    const [tenth, half] = calibrationOf(looked);
    expect(tenth!.seen).toBeCloseTo(0.1, 1);
    expect(half!.seen).toBeCloseTo(0.5, 1);
  });

  it('say nothing surely of few, and nothing at all of none', () => {
    const [, half] = calibrationOf([worn(400), worn(700)]);
    expect(half!.to - half!.from).toBeGreaterThan(0.5);
    expect(calibrationOf([]).map(({ seen }) => seen)).toEqual([0, 0, 0]);
    expect(calibrationOf([{ ...worn(0), isWornOut: false }])[1]!.seen).toBe(0);
  });
});

describe('guesses of comfort', () => {
  it('are off by their mean, with the interval of a mean', () => {
    const { bias, near, n } = readGuesses([
      { patient: 'a', guess: 70, comfort: 80 },
      { patient: 'b', guess: 70, comfort: 60 },
      { patient: 'c', guess: 60, comfort: 84 },
    ]);
    expect(n).toBe(3);
    expect(bias!.mean).toBeCloseTo(8, 9);
    // Errors 10, −10, 24: standard deviation 17.09, over √3, by 1.96.
    expect(bias!.to - bias!.mean).toBeCloseTo((1.959964 * Math.sqrt(292)) / Math.sqrt(3), 6);
    expect([near.count, near.of]).toEqual([2, 3]);
  });

  it('of one or none have no mean error', () => {
    expect(readGuesses([]).bias).toBeNull();
    expect(readGuesses([{ patient: 'a', guess: 70, comfort: 80 }]).bias).toBeNull();
  });
});
