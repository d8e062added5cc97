import { testSizing } from '@tests/fixtures/invented-shoe';
import { describe, expect, it } from 'vitest';
import { clinicalPicture } from '../examination/clinical-picture';
import type { Findings } from '../findings/picture';
import { resolve } from '../prescribe/engine/resolve';
import { type FittingConditions, sizeWish } from './size-wish';
import { asFitted, insideWidth, startSize, widthFor } from './start-size';

const wish = (findings: Findings, conditions?: FittingConditions) => {
  const picture = clinicalPicture(findings);
  return sizeWish(picture, resolve(picture), 'left', conditions);
};

describe('what sock, insert and time of day add', () => {
  it('nothing is added and nothing is said for a thin sock, no insert, measured late', () => {
    const plain = wish({});
    expect(plain.adds).toEqual({ lengthMm: 0, widthMm: 0 });
    expect(plain.why).toEqual(['usual room 10–15 mm']);
    expect(wish({}, { sock: 'thin', insert: 'flat', measured: 'late' })).toEqual(plain);
  });

  it('each is added and named', () => {
    const all = wish({}, { sock: 'thick', insert: 'cupped', measured: 'early' });
    expect(all.adds).toEqual({ lengthMm: 2 + 2 + 1, widthMm: 2 + 1 });
    expect(all.why.slice(1)).toEqual([
      'thick, padded sock: +2 mm long, +2 mm wide',
      'insert with a cupped heel: +2 mm long, +0 mm wide',
      'measured early in the day: +1 mm long, +1 mm wide',
    ]);
  });

  it.each(['changes', 'constant'] as const)(
    'a foot whose swelling %s gets more when measured early',
    (swelling) => {
      const early = wish({ left: { swelling } }, { measured: 'early' });
      expect(early.adds).toEqual({ lengthMm: 2, widthMm: 3 });
      expect(early.why.at(-1)).toMatch(/^swells, measured early/);
    },
  );

  it('the other foot’s swelling does not widen this one', () => {
    expect(wish({ right: { swelling: 'constant' } }, { measured: 'early' }).adds.widthMm).toBe(1);
  });
});

describe('why this much room', () => {
  it('the reasons are the specification’s own, at most two, none that was set aside', () => {
    const picture = clinicalPicture({
      body: { ageYears: 6, conditions: ['pregnancy'] },
      left: { skin: ['nail'] },
    });
    const specification = resolve(picture);
    const target = specification.targets.find(({ feature }) => feature === 'toeRoom');
    const counted = (target?.pushes ?? []).filter(({ setAside }) => setAside === undefined);
    expect(counted.length).toBeGreaterThan(2);
    const { why } = sizeWish(picture, specification, 'left');
    const strongestFirst = counted.toSorted((a, b) => b.weight - a.weight);
    expect(why).toEqual(strongestFirst.slice(0, 2).map(({ finding, because }) => `${finding}: ${because}`));
  });

  it('the width asked for is the specification’s, standard where it asks for none', () => {
    expect(wish({}).widthGrade).toBe(2);
    const picture = clinicalPicture({ left: { skin: ['nail'], swelling: 'constant' } });
    const specification = resolve(picture);
    const width = specification.targets.find(({ feature }) => feature === 'width');
    const { widthGrade } = sizeWish(picture, specification, 'left');
    expect(widthGrade).toBe(width?.kind === 'band' ? width.best : 2);
  });
});

describe('the first size to bring', () => {
  const model = testSizing({ sizes: [42, 42.5, 43], widths: ['B', 'D', '2E'], ballWidthMm: 90 });
  const room = { least: 10, wished: 12, most: 15 };
  const begin = (offset: number, ballWidthMm: number | null = null) => {
    const result = startSize({ ...model, lengthOffsetMm: offset }, { lengthMm: 264, ballWidthMm }, { room });
    if (!result.ok) throw new Error(result.problem.message);
    return result.value;
  };

  it('says which way a model runs, and nothing where nobody has fitted it', () => {
    expect(begin(3).why).toContain('runs 3 mm long');
    expect(begin(-2).why).toContain('runs 2 mm short');
    expect(begin(0).why.join()).not.toContain('runs');
    expect(begin(0.04).why.join()).not.toContain('runs');
  });

  it('says that the ball was not measured rather than guess its width', () => {
    expect(begin(0).why.at(-1)).toBe('ball width not measured: standard width');
    expect(begin(0).width).toBe('D');
    expect(begin(0, 97.04).why.at(-1)).toBe('ball 97 mm');
  });

  it('a size number that does not exist is named, with the size that would', () => {
    const long = startSize(model, { lengthMm: 300, ballWidthMm: null }, { room });
    expect(!long.ok && long.problem).toMatchObject({
      code: 'no-size',
      message: expect.stringMatching(/about EU 4[789]/),
    });
    const small = startSize(model, { lengthMm: 230, ballWidthMm: null }, { room });
    expect(!small.ok && small.problem.code).toBe('no-size');
  });

  it('the narrowest width that holds the ball, the widest where none does', () => {
    const inside = (letter: 'B' | 'D' | '2E') => insideWidth(model, 42, letter);
    expect(widthFor(model, 42, inside('B') + 4, 2)).toBe('B');
    expect(widthFor(model, 42, inside('B') + 4.01, 2)).toBe('D');
    expect(widthFor(model, 42, inside('D') + 4.01, 2)).toBe('2E');
    expect(widthFor(model, 42, inside('2E') + 30, 2)).toBe('2E');
  });

  it('without a ball width the grade asked for, or the offered width closest to it', () => {
    expect(widthFor(model, 42, null, 1)).toBe('B');
    expect(widthFor(model, 42, null, 3)).toBe('2E');
    expect(widthFor(model, 42, null, 4)).toBe('2E');
    expect(widthFor(model, 42, null, 0)).toBe('B');
    expect(widthFor({ ...model, widths: ['D'] }, 42, null, 4)).toBe('D');
  });

  it('a pair on the foot states the room it leaves', () => {
    const fitted = asFitted(model, 42.5, 'D', { lengthMm: 262, ballWidthMm: null });
    expect(fitted.roomMm).toBeCloseTo(fitted.insideLengthMm - 262, 9);
    expect(fitted).toMatchObject({
      size: 42.5,
      width: 'D',
      label: 'EU 42.5 D',
      why: ['foot 262 mm + 21.3 mm room'],
    });
  });
});
