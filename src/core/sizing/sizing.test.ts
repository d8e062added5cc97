import { halfSizes, testSizing } from '@tests/fixtures/invented-shoe';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { footDifference, heelBallRatio } from './foot-difference';
import { sizeTable } from './size-table';
import { insideLength, startSize } from './start-size';
import { lastOfSize, nearestHalf, type SizeSystem, scaleReading, sizeOfLast } from './systems';
import { gradeOfLetter, jisWidthLetter, STANDARD_LETTER } from './widths';

const SYSTEMS: SizeSystem[] = [
  'mondopoint',
  'eu',
  'uk',
  'us-men',
  'us-women',
  'us-women-wide-gap',
  'japan',
  'uk-child',
];

/** Footwear reference §1, worked table: arithmetic from the definitions. */
describe('the worked size table', () => {
  it.each([
    // foot mm, EU 1.5 F + 2, UK, US men scale, US women scale, JIS
    [220, 35.0, 2.98, 3.98, 4.98, 22.0],
    [235, 37.25, 4.76, 5.76, 6.76, 23.5],
    [250, 39.5, 6.53, 7.53, 8.53, 25.0],
    [262.5, 41.375, 8.0, 9.0, 10.0, 26.5],
    [280, 44.0, 10.07, 11.07, 12.07, 28.0],
  ])('a foot of %d mm', (foot, eu, uk, men, women, japan) => {
    const table = sizeTable(foot);
    if (!table.ok) throw new Error(table.problem.message);
    const exact = (system: SizeSystem) => table.value.find((row) => row.system === system)!;
    expect(exact('eu').exact).toBeCloseTo(eu, 3);
    expect(exact('uk').exact).toBeCloseTo(uk, 2);
    expect(exact('us-men').exact).toBeCloseTo(men, 2);
    expect(exact('us-women').exact).toBeCloseTo(women, 2);
    expect(exact('japan').size).toBe(japan);
    expect(exact('us-women-wide-gap').exact).toBeCloseTo(men + 1.5, 2);
    // 20 mm of allowance is three points: the upper end of what makers use.
    expect(exact('eu').assumption).toContain(`${eu.toFixed(1)} to ${(eu + 1).toFixed(1)}`);
  });

  it('a 262.5 mm foot measures men’s 9, women’s 10, UK 8; a 279.4 mm last is EU 41.9 (handbook 05, by arithmetic)', () => {
    expect(nearestHalf(scaleReading['us-men'](262.5))).toBe(9);
    expect(nearestHalf(scaleReading['us-women'](262.5))).toBe(10);
    expect(nearestHalf(scaleReading.uk(262.5))).toBe(8);
    expect(sizeOfLast('eu', 279.4, 15)).toBeCloseTo(41.9, 1);
    expect(sizeOfLast('uk', 279.4, 15)).toBeCloseTo(8, 6);
  });

  it.each([
    [220, 225],
    [235, 240],
    [250, 255],
    [262.5, 262.5],
    [280, 285],
  ])('a foot of %d mm lies under %d in 7.5 mm steps of Mondopoint (reference §1)', (foot, step) => {
    const table = sizeTable(foot);
    expect(table.ok && table.value.find((row) => row.label.includes('7.5'))!.size).toBe(step);
  });

  it('Mondopoint names the foot’s width, JIS a letter from its girth (men 25.0 cm: E 243, EE 249, EEE 255; from memory)', () => {
    const letter = (ballGirthMm: number) => {
      const table = sizeTable(250, 15, { ballGirthMm, ballWidthMm: 98.4, group: 'men' });
      if (!table.ok) throw new Error(table.problem.message);
      expect(table.value[0]!.width).toBe('/98');
      return table.value.find((row) => row.system === 'japan')!.width.trim();
    };
    expect([243, 249, 255].map(letter)).toEqual(['E', 'EE', 'EEE']);
    expect(jisWidthLetter(231, 230, 'women')).toBe('EE');
    expect(jisWidthLetter(400, 250, 'men')).toBeNull();
  });

  it('a child’s scale ends where the adult’s begins: 13 and then 0 (definition)', () => {
    const table = sizeTable(180);
    expect(table.ok && table.value.find((row) => row.system === 'uk-child')!.size).toBe(11.5);
    const adult = sizeTable(262);
    expect(adult.ok && adult.value.some((row) => row.system === 'uk-child')).toBe(false);
    expect(lastOfSize('uk-child', 13, 0)).toBeCloseTo(lastOfSize('uk', 0, 0), 9);
  });

  it('refuses a foot that is none', () => {
    expect(sizeTable(26.5).ok).toBe(false);
  });
});

describe('size systems', () => {
  it('size and last are inverse in every system', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SYSTEMS),
        fc.double({ min: 130, max: 330, noNaN: true }),
        (system, last) => {
          expect(lastOfSize(system, sizeOfLast(system, last, 15), 15)).toBeCloseTo(last, 6);
        },
      ),
    );
  });

  it('a longer foot never has a smaller size', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SYSTEMS),
        fc.integer({ min: 1500, max: 3300 }),
        fc.integer({ min: 0, max: 200 }),
        (system, tenths, more) => {
          const a = nearestHalf(sizeOfLast(system, tenths / 10, 15));
          const b = nearestHalf(sizeOfLast(system, (tenths + more) / 10, 15));
          expect(b).toBeGreaterThanOrEqual(a);
        },
      ),
    );
  });

  it('half sizes lie 4.23 mm apart in barleycorns (1/6 in, by definition)', () => {
    expect(lastOfSize('uk', 8.5, 0) - lastOfSize('uk', 8, 0)).toBeCloseTo(25.4 / 6, 9);
  });
});

const model = testSizing({ sizes: halfSizes(38, 48), widths: ['B', 'D', '2E', '4E'], ballWidthMm: 92 });
const room = { least: 10, wished: 12, most: 15 };

describe('where to begin at the shelf', () => {
  it('leaves the room that was wished and never less than the least', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2450, max: 2900 }),
        fc.integer({ min: -6, max: 6 }),
        (tenths, lengthOffsetMm) => {
          const foot = { lengthMm: tenths / 10, ballWidthMm: null };
          const start = startSize({ ...model, lengthOffsetMm }, foot, { room });
          if (!start.ok) throw new Error(start.problem.message);
          expect(start.value.roomMm).toBeGreaterThanOrEqual(10 - 0.051);
          expect(start.value.roomMm).toBeLessThanOrEqual(15.4);
        },
      ),
    );
  });

  it('a model that runs short is taken larger', () => {
    const size = (lengthOffsetMm: number) => {
      const start = startSize({ ...model, lengthOffsetMm }, { lengthMm: 262, ballWidthMm: null }, { room });
      return start.ok ? start.value.size : Number.NaN;
    };
    expect(size(-5)).toBeGreaterThan(size(0));
  });

  it('a wider foot gets a wider letter', () => {
    const width = (ballWidthMm: number) => {
      const start = startSize(model, { lengthMm: 262, ballWidthMm }, { room });
      return start.ok ? gradeOfLetter('men', start.value.width) : Number.NaN;
    };
    expect(width(108)).toBeGreaterThan(width(96));
  });

  it('says which size would be needed when it is not made', () => {
    const start = startSize(model, { lengthMm: 330, ballWidthMm: null }, { room });
    expect(start.ok).toBe(false);
    if (!start.ok) expect(start.problem.message).toContain('EU 51.5');
  });

  it('the inside grows with the size', () => {
    expect(insideLength(model, 43)).toBeGreaterThan(insideLength(model, 42));
  });
});

describe('widths and differences', () => {
  it('a women’s wide is a men’s standard (common practice)', () => {
    expect(gradeOfLetter('women', 'D')).toBe(3);
    expect(gradeOfLetter('men', 'D')).toBe(2);
    expect(STANDARD_LETTER.women).toBe('B');
  });

  it('4 mm is shown as about half a size, 8 mm suggests a split pair (one size is 8.47 mm)', () => {
    expect(footDifference(262, 259).advice).toBe('none');
    expect(footDifference(262, 258).advice).toBe('fit-longer');
    expect(footDifference(254, 262).advice).toBe('split-or-filler');
    expect(footDifference(254, 262).sentence).toContain('filler in the left');
  });

  it('a heel–ball length outside 0.68–0.78 of the foot asks for a re-measure (from memory)', () => {
    expect(heelBallRatio(262, 192).remeasure).toBe(false);
    expect(heelBallRatio(262, 170).remeasure).toBe(true);
    expect(heelBallRatio(262, 210).remeasure).toBe(true);
  });
});
