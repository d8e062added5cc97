import { describe, expect, it } from 'vitest';
import { clinicalPicture } from '../examination/clinical-picture';
import { resolve } from '../prescribe/engine/resolve';
import { keysOf } from '../tables/keys-of';
import { BAD, findingsOfBefore, GOOD, type PairBefore, valuesToKeep } from './before';

const pair = (part: Partial<PairBefore>): PairBefore => ({
  id: 'p',
  verdict: 'served',
  title: 'Invented 1',
  ...part,
});
const said = (...pairs: Partial<PairBefore>[]) => findingsOfBefore(pairs.map(pair)).body;
const target = (pairs: Partial<PairBefore>[], feature: string) =>
  resolve(clinicalPicture(findingsOfBefore(pairs.map(pair)))).targets.find(
    (entry) => entry.feature === feature,
  );

describe('what follows from pairs that served or failed', () => {
  it('of a pair that served its drop and what was praised, the longest time of several', () => {
    expect(
      said(
        { months: 14, values: { drop: 8, midsoleHardness: 3 }, good: ['comfortable'] },
        { months: 30, values: { drop: 10, midsoleHardness: 2 } },
      ),
    ).toEqual({ servedMonths: 30, servedDrop: 9, servedHardness: 3 });
  });

  it('a pair that failed has no drop to stay near, but what was good about it still counts', () => {
    expect(
      said({ verdict: 'failed', values: { drop: 0, mass: 240 }, good: ['light'], bad: ['soft'] }),
    ).toEqual({
      servedMass: 240,
    });
  });

  it('of several that were too little, the one that had most is the least that will not do', () => {
    expect(
      said(
        { verdict: 'failed', bad: ['narrow'], values: { width: 2 } },
        { verdict: 'failed', bad: ['narrow', 'high'], values: { width: 2.5, heelStack: 36 } },
        { verdict: 'failed', bad: ['high'], values: { heelStack: 40 } },
      ),
    ).toEqual({ tooNarrowAt: 2.5, tooHighAt: 36 });
  });

  it('a pair that the catalogue does not know says nothing here; nothing named is nothing found', () => {
    expect(findingsOfBefore([pair({ bad: ['soft'], good: ['light'] })])).toEqual({});
    expect(findingsOfBefore([])).toEqual({});
  });

  it('keeps of a model what its praise, its faults and its feel speak of', () => {
    const features = new Set([
      ...keysOf(GOOD).map((id) => GOOD[id].feature),
      ...keysOf(BAD).map((id) => BAD[id].feature),
    ]);
    const values = Object.fromEntries([...features].map((id) => [id, 2]));
    expect(Object.keys(valuesToKeep({ ...values, closure: 'laces' }))).toEqual(
      expect.arrayContaining([...features]),
    );
    expect(valuesToKeep({ closure: 'laces' })).toEqual({});
  });
});

describe('what it pulls', () => {
  it('too soft asks for firmer, too narrow for wider, and each only where it was said', () => {
    expect(
      target([{ verdict: 'failed', bad: ['soft'], values: { midsoleHardness: 2 } }], 'midsoleHardness')?.best,
    ).toBeGreaterThan(2.5);
    expect(
      target([{ verdict: 'failed', bad: ['firm'], values: { midsoleHardness: 4 } }], 'midsoleHardness')?.best,
    ).toBeLessThan(3.5);
    expect(
      target([{ verdict: 'failed', bad: ['narrow'], values: { width: 2 } }], 'width')?.best,
    ).toBeGreaterThanOrEqual(2.5);
    expect(
      target([{ verdict: 'failed', bad: ['narrow'], values: { width: 2 } }], 'midsoleHardness'),
    ).toBeUndefined();
  });

  it('years of comfort weigh more than months of it', () => {
    const weight = (months: number) =>
      target([{ months, values: { drop: 4 } }], 'drop')!.pushes.reduce((sum, push) => sum + push.weight, 0);
    expect(weight(60)).toBeGreaterThan(weight(6));
    expect(target([{ months: 60, values: { drop: 4 } }], 'drop')?.best).toBeLessThanOrEqual(6);
  });

  it('a school that knows no loyalty is not pulled by what served, but by what failed', () => {
    const pushes = (pairs: PairBefore[]) =>
      resolve(clinicalPicture(findingsOfBefore(pairs)), { school: 'shape' }).targets.flatMap((entry) =>
        entry.pushes.filter(({ weight }) => weight > 0).map(({ rule }) => rule),
      );
    expect(pushes([pair({ months: 60, values: { drop: 4 } })])).toEqual([]);
    expect(pushes([pair({ verdict: 'failed', bad: ['soft'], values: { midsoleHardness: 2 } })])).toEqual([
      'failed-soft',
    ]);
  });
});
