import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SIGNS, type SignAnswers } from '../signs/signs';
import { keysOf } from '../tables/keys-of';
import { type WearInput, wearForecast } from './forecast';
import { inspectedLife, inspectedQuantile, type SeenAt, spentOnce } from './inspected-life';
import { lifeQuantile } from './life-schools';
import { verdictOf } from './verdict';

const LIFE = { median: 644, sigma: 0.277 };

const answers = fc.record(
  {
    creases: fc.constantFrom(...keysOf(SIGNS.creases.options)),
    fold: fc.constantFrom(...keysOf(SIGNS.fold.options)),
    foam: fc.constantFrom(...keysOf(SIGNS.foam.options)),
    counter: fc.constantFrom(...keysOf(SIGNS.counter.options)),
    tilt: fc.constantFrom(...keysOf(SIGNS.tilt.options)),
    ache: fc.constantFrom(...keysOf(SIGNS.ache.options)),
  },
  { requiredKeys: [] },
);

describe('a life that was inspected', () => {
  it('without an inspection it is the life that was expected', () => {
    const life = inspectedLife(LIFE, []);
    for (const q of [0.1, 0.5, 0.9] as const)
      expect(inspectedQuantile(life, q) / lifeQuantile(LIFE, q)).toBeCloseTo(1, 3);
  });

  it('looked at once, it says of spent and suits what the verdict says, whatever was seen', () => {
    fc.assert(
      fc.property(answers, fc.double({ min: 50, max: 1500, noNaN: true }), (signs, used) => {
        const prior = spentOnce(inspectedLife(LIFE, []), used);
        fc.pre(prior > 0.002 && prior < 0.998);
        const after = inspectedLife(LIFE, [{ used, signs }]);
        const verdict = verdictOf(signs, prior);
        // The grid is a sixtieth of a standard deviation wide.
        expect(Math.abs(spentOnce(after, used) - verdict.spent)).toBeLessThan(0.02);
        for (const fits of keysOf(verdict.fits))
          expect(Math.abs(after.fits[fits] - verdict.fits[fits])).toBeLessThan(0.02);
      }),
    );
  });

  it('sound after 600 km means that it lasts longer; folded flat, that it does not', () => {
    const middle = (signs: SignAnswers) =>
      inspectedQuantile(inspectedLife(LIFE, [{ used: 600, signs }]), 0.5);
    const sound = middle({ fold: 'springs', foam: 'no', creases: 'none' });
    const flat = middle({ fold: 'none', foam: 'yes' });
    expect(sound).toBeGreaterThan(LIFE.median * 1.05);
    expect(flat).toBeLessThan(600);
  });

  it('what was seen narrows the window on the whole', () => {
    const width = (seen: SeenAt[]) => {
      const life = inspectedLife(LIFE, seen);
      return Math.log(inspectedQuantile(life, 0.9) / inspectedQuantile(life, 0.1));
    };
    expect(width([{ used: 600, signs: { fold: 'springs', foam: 'no' } }])).toBeLessThan(width([]));
  });

  it('a sign that is looked at twice counts once, as it was seen last', () => {
    const once = inspectedLife(LIFE, [{ used: 600, signs: { foam: 'yes' } }]);
    const twice = inspectedLife(LIFE, [
      { used: 500, signs: { foam: 'yes' } },
      { used: 600, signs: { foam: 'yes' } },
    ]);
    expect([...twice.chances]).toEqual([...once.chances]);
  });
});

const INPUT: WearInput = {
  school: 'median',
  use: 'road-running',
  ageDays: 140,
  log: [{ day: 60, amount: 500 }],
  expectedWeekly: null,
};

describe('the forecast of a pair', () => {
  it('more distance never leaves it longer, whatever was seen of it', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ day: fc.integer({ min: 0, max: 140 }), signs: answers }), { maxLength: 3 }),
        fc.double({ min: 20, max: 900, noNaN: true }),
        fc.double({ min: 1, max: 400, noNaN: true }),
        (inspections, amount, more) => {
          const at = (total: number) =>
            wearForecast({
              ...INPUT,
              // What is seen is seen at the same distance: only what comes after it differs.
              log: [
                { day: 0, amount },
                { day: 141, amount: total },
              ],
              inspections: inspections
                .toSorted((a, b) => a.day - b.day)
                .map((seen) => ({ ...seen, day: 21 })),
            });
          const [less, further] = [at(10), at(10 + more)];
          expect(further.windowDays!.q50).toBeLessThanOrEqual(less.windowDays!.q50 + 1e-9);
          expect(further.windowDays!.q90).toBeLessThanOrEqual(less.windowDays!.q90 + 1e-9);
        },
      ),
      { numRuns: 60 },
    );
  });

  const WORSE: { sign: keyof SignAnswers; sound: string; worn: string }[] = [
    { sign: 'fold', sound: 'springs', worn: 'none' },
    { sign: 'foam', sound: 'no', worn: 'yes' },
    { sign: 'counter', sound: 'sound', worn: 'broken' },
    { sign: 'through', sound: 'no', worn: 'yes' },
    { sign: 'pattern', sound: 'no', worn: 'yes' },
    { sign: 'ache', sound: 'none', worn: 'lately' },
    { sign: 'creases', sound: 'none', worn: 'inner-late' },
  ];

  it.each(WORSE)('more signs never lengthen its life: $sign', ({ sign, sound, worn }) => {
    fc.assert(
      fc.property(answers, fc.integer({ min: 30, max: 140 }), (others, day) => {
        const at = (value: string) =>
          wearForecast({ ...INPUT, inspections: [{ day, signs: { ...others, [sign]: value } }] }).life;
        for (const q of ['q10', 'q50', 'q90'] as const)
          expect(at(worn)[q]).toBeLessThanOrEqual(at(sound)[q] + 1e-9);
      }),
      { numRuns: 40 },
    );
  });

  it('says what the last inspection changed, and from what', () => {
    const forecast = wearForecast({ ...INPUT, inspections: [{ day: 130, signs: { fold: 'none' } }] });
    expect(forecast.inspected!.before.q50).toBeCloseTo(644, -1);
    expect(forecast.life.q50).toBeLessThan(560);
    expect(forecast.inspected!.spent).toBeGreaterThan(0.5);
    expect(wearForecast(INPUT).inspected).toBeNull();
  });

  it('nothing dominates but what is widest: a stated week, a model nobody knows, or pairs themselves', () => {
    expect(wearForecast({ ...INPUT, log: [], expectedWeekly: 20 }).dominates).toMatch(/stated, not logged/);
    expect(wearForecast(INPUT).dominates).toMatch(/lives of such pairs differ/);
    const version = {
      mean: 0,
      withFactors: Array.from({ length: 11 }, () => 0),
      pairs: 1,
      wornOut: 0,
      relatives: 0,
      relativesWornOut: 0,
    };
    const effects = {
      mean: version.withFactors,
      covariance: version.withFactors.map(() => version.withFactors),
    };
    const learned = (variance: number, pairSd: number) =>
      wearForecast({ ...INPUT, learned: { version: { ...version, variance, pairSd }, effects } }).dominates;
    expect(learned(0.09, 0.15)).toMatch(/this model/);
    expect(learned(0.01, 0.15)).toMatch(/lives of such pairs differ/);
  });
});
