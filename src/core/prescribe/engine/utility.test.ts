import { describe, expect, it } from 'vitest';
import { featureOf } from '../../shoe/features';
import { utilityAt, valuesOf } from './utility';

describe('how well a value serves a wish, by arithmetic', () => {
  it.each([
    [8, 1],
    [12, 1],
    [14, 1 - (2 / 4) ** 2],
    [7, 1 - (1 / 4) ** 2],
    [16, 0],
    [20, 0],
    [0, 0],
  ])('a band of 8 to 12 with a reach of 4: %d mm is worth %d', (value, worth) => {
    expect(utilityAt({ band: { from: 8, to: 12 }, reach: 4 }, value)).toBeCloseTo(worth, 9);
  });

  it('a curve is straight between its points and level beyond them', () => {
    const curve = {
      curve: [
        [2, 0.2],
        [6, 1],
        [10, 0],
      ] as const,
    };
    expect([0, 2, 3, 6, 8, 10, 30].map((value) => utilityAt(curve, value))).toEqual([
      0.2, 0.2, 0.4, 1, 0.5, 0, 0,
    ]);
  });

  it('options: preferred or not, avoided or not, worth what they are worth, else nothing', () => {
    expect([utilityAt({ prefer: ['zip'] }, 'zip'), utilityAt({ prefer: ['zip'] }, 'dial')]).toEqual([1, 0]);
    expect([utilityAt({ avoid: ['zip'] }, 'zip'), utilityAt({ avoid: ['zip'] }, 'dial')]).toEqual([0, 1]);
    expect([utilityAt({ worth: { zip: 0.3 } }, 'zip'), utilityAt({ worth: { zip: 0.3 } }, 'dial')]).toEqual([
      0.3, 0,
    ]);
  });
});

describe('the values of a feature', () => {
  it('a scale runs to both of its bounds, and knows how far each value is from a usual shoe', () => {
    const drop = featureOf('drop');
    if (drop.kind === 'choice') throw new Error('drop is a scale');
    const { list, numbers, away } = valuesOf(drop);
    expect([list[0], list[1], list.at(-1)]).toEqual([0, 0.5, 100]);
    expect(numbers).toEqual(list);
    expect(away[list.indexOf(8)]).toBe(0);
    expect(away[list.indexOf(0.5)]).toBe(7.5);
  });

  it('a choice lists its options; only the usual one is not away', () => {
    const closure = featureOf('closure');
    const { list, numbers, away } = valuesOf(closure);
    expect(numbers).toEqual([]);
    expect(list.filter((_, at) => away[at] === 0)).toEqual([closure.usual]);
  });
});
