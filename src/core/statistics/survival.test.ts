import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { kaplanMeier, type Lasting, logRank, medianOf } from './survival';

const lasting = (ended: readonly number[], followed: readonly number[]): Lasting[] => [
  ...ended.map((time) => ({ time, ended: true })),
  ...followed.map((time) => ({ time, ended: false })),
];

/**
 * Weeks of remission of 42 children with leukaemia, Freireich EJ et al., Blood 1963;21:699–716, as reprinted by Gehan EA, Biometrika
 * 1965;52:203–223 and in most textbooks since; from memory.
 */
const TREATED = lasting([6, 6, 6, 7, 10, 13, 16, 22, 23], [6, 9, 10, 11, 17, 19, 20, 25, 32, 32, 34, 35]);
const PLACEBO = lasting([1, 1, 2, 2, 3, 4, 4, 5, 5, 8, 8, 8, 8, 11, 11, 12, 12, 15, 17, 22, 23], []);

describe('how long things last', () => {
  it('steps as the worked example does', () => {
    expect(
      kaplanMeier(TREATED).map(({ time, atRisk, share }) => [time, atRisk, Number(share.toFixed(3))]),
    ).toEqual([
      [6, 21, 0.857],
      [7, 17, 0.807],
      [10, 15, 0.753],
      [13, 12, 0.69],
      [16, 11, 0.627],
      [22, 7, 0.538],
      [23, 6, 0.448],
    ]);
    expect(kaplanMeier(TREATED).map(({ standardError }) => Number(standardError.toFixed(4)))).toEqual([
      0.0764, 0.0869, 0.0963, 0.1068, 0.1141, 0.1282, 0.1346,
    ]);
    expect(medianOf(kaplanMeier(TREATED))).toBe(23);
    expect(medianOf(kaplanMeier(PLACEBO))).toBe(8);
  });

  it('differs between the two groups by a log-rank of 16.79', () => {
    const { chiSquare, pValue, groups } = logRank(TREATED, PLACEBO);
    expect(chiSquare).toBeCloseTo(16.79, 2);
    expect(pValue).toBeLessThan(0.0001);
    expect(groups[0]!.observed).toBe(9);
    expect(groups[0]!.expected).toBeCloseTo(19.25, 2);
    expect(groups[1]!.expected).toBeCloseTo(10.75, 2);
  });

  it('is the plain share that lasts where everything was followed to its end; never rises; asks nothing of an empty list', () => {
    const times = fc.array(fc.integer({ min: 1, max: 30 }), { minLength: 1, maxLength: 40 });
    fc.assert(
      fc.property(times, (ended) => {
        for (const { time, share } of kaplanMeier(lasting(ended, [])))
          expect(share).toBeCloseTo(ended.filter((other) => other > time).length / ended.length, 9);
      }),
    );
    fc.assert(
      fc.property(times, times, (ended, followed) => {
        const shares = [1, ...kaplanMeier(lasting(ended, followed)).map(({ share }) => share)];
        expect(shares).toEqual(shares.toSorted((a, b) => b - a));
        expect(logRank(lasting(ended, followed), lasting(ended, followed)).chiSquare).toBeCloseTo(0, 9);
      }),
    );
    expect(kaplanMeier([])).toEqual([]);
    expect(medianOf(kaplanMeier(lasting([], [4, 5])))).toBeNull();
    expect(logRank([], lasting([3], [])).chiSquare).toBe(0);
  });
});
