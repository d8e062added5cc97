import { testPush } from '@tests/fixtures/push';
import { describe, expect, it } from 'vitest';
import type { FeatureId } from '../../shoe/features';
import { alternativesOf } from './alternatives';
import { settle } from './settle';
import type { Push } from './specification';

const band = (from: number, to: number, reach = 8) => ({ band: { from, to }, reach });
const of = (feature: FeatureId, ...pushes: Push[]) => {
  const settled = settle(feature, pushes);
  return { best: settled.best, alternatives: alternativesOf(settled) };
};

/** By arithmetic: a wish is worth 1 inside its band and 1 − (distance ÷ reach)² outside it. */
describe('other resolutions on a scale', () => {
  it('two camps out of each other’s reach leave a second peak, with what it would cost', () => {
    const { best, alternatives } = of(
      'drop',
      testPush('low', band(0, 2, 4)),
      testPush('high', band(14, 16, 4)),
    );
    // Both ends lie 6 mm from a usual drop of 8: the lower one stands.
    expect(best).toBe(2);
    expect(alternatives).toEqual([
      { value: 14, peak: true, utility: 0.5, serves: ['high'], costs: [{ rule: 'low', loses: 1 }] },
    ]);
  });

  it('a compromise has one peak: each outvoted camp is shown what it would have chosen itself', () => {
    const { best, alternatives } = of('drop', testPush('low', band(4, 4)), testPush('high', band(10, 10)));
    expect(best).toBe(7);
    expect(alternatives.map(({ value, peak, serves }) => ({ value, peak, serves }))).toEqual([
      { value: 4, peak: false, serves: ['low'] },
      { value: 10, peak: false, serves: ['high'] },
    ]);
    // At 4 mm the high camp keeps 1 − (6/8)² of its wish, at 7 mm it had 1 − (3/8)².
    expect(alternatives[0]!.utility).toBeCloseTo((1 + (1 - (6 / 8) ** 2)) / 2, 9);
    expect(alternatives[0]!.costs).toEqual([{ rule: 'high', loses: (6 / 8) ** 2 - (3 / 8) ** 2 }]);
  });

  it('a camp that has what it wants is no alternative', () => {
    const { best, alternatives } = of(
      'drop',
      testPush('wide', band(4, 12)),
      testPush('high', band(12, 12), { weight: 8 }),
    );
    expect(best).toBe(12);
    expect(alternatives).toEqual([]);
  });

  it('one push alone has none, however far it pulls', () => {
    expect(of('drop', testPush('low', band(0, 0))).alternatives).toEqual([]);
    expect(of('drop').alternatives).toEqual([]);
  });

  it('a peak behind a limit is none, and a push set aside does not count', () => {
    const low = testPush('low', band(0, 2, 4));
    const high = testPush('high', band(14, 16, 4));
    const limit = testPush('flat', band(0, 9), { strength: 'limit' });
    expect(of('drop', low, high, limit).alternatives.filter(({ value }) => Number(value) > 9)).toEqual([]);
    expect(of('drop', low, { ...high, setAside: 'not for her' }).alternatives).toEqual([]);
  });

  it('a peak that serves less than half of what the best one does is not offered', () => {
    const low = testPush('low', band(0, 2, 4), { weight: 4 });
    const peak = (weight: number) =>
      of('drop', low, testPush('high', band(14, 16, 4), { weight })).alternatives.filter(
        (entry) => entry.peak,
      );
    expect(peak(2)).toHaveLength(1);
    expect(peak(1.9)).toEqual([]);
  });

  it('a bump too shallow to tell from the slope is no peak of its own', () => {
    // Valley and bump differ by 0.03 of the weight, less than the 0.04 that counts; then by 0.06.
    const bump = (height: number) =>
      of(
        'drop',
        testPush('steady', band(4, 4, 30), { weight: 1 }),
        testPush('bump', {
          curve: [
            [0, 0.9],
            [4, 0.9],
            [12, 0.5],
            [14, 0.5 + height],
            [16, 0],
          ],
        }),
      ).alternatives.filter((entry) => entry.peak);
    expect(bump(0.05)).toEqual([]);
    expect(bump(0.15).map(({ value }) => value)).toEqual([14]);
  });

  it('of many peaks the two highest are offered, the higher first', () => {
    const at = (place: number, weight: number) => testPush(`at ${place}`, band(place, place, 1), { weight });
    const { best, alternatives } = of('drop', at(2, 4), at(8, 7), at(14, 5), at(20, 6));
    expect(best).toBe(8);
    expect(alternatives.map(({ value }) => value)).toEqual([20, 14]);
  });
});

describe('other options', () => {
  const prefer = (option: string, weight: number) => testPush(option, { prefer: [option] }, { weight });

  it('an outvoted option is offered with what it serves and costs; one that nobody wants is not', () => {
    const { best, alternatives } = of('closure', prefer('laces', 4), prefer('zip', 2));
    expect(best).toBe('laces');
    expect(alternatives).toEqual([
      {
        value: 'zip',
        peak: true,
        utility: 2 / 6,
        serves: ['zip'],
        costs: [{ rule: 'laces', loses: 1 }],
      },
    ]);
  });

  it('less than half of the best one’s weight is not worth a look, and an excluded option never is', () => {
    expect(of('closure', prefer('laces', 4), prefer('zip', 1.9)).alternatives).toEqual([]);
    const noZip = testPush('no zip', { avoid: ['zip'] }, { strength: 'limit' });
    expect(of('closure', prefer('laces', 4), prefer('zip', 3), noZip).alternatives).toEqual([]);
  });

  it('costs stand dearest first, small ones left out', () => {
    const { alternatives } = of(
      'closure',
      prefer('zip', 5),
      testPush('worth', { worth: { laces: 0.9, zip: 0.5, dial: 1 } }, { weight: 4 }),
      testPush('dial', { worth: { dial: 0.96, laces: 1, zip: 1 } }, { weight: 4 }),
      prefer('dial', 2),
    );
    const dial = alternatives.find(({ value }) => value === 'dial')!;
    expect(dial.costs.map(({ rule }) => rule)).toEqual(['zip']);
    expect(dial.serves).toEqual(['worth', 'dial']);
  });
});
