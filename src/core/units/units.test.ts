import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parseDistance } from './distance';
import { inchToMm, mmToInch, parseLength } from './length';
import { parseMass } from './mass';
import { parseIn, printIn } from './parse';
import { parseNumber } from './quantity';
import { parseTemperature } from './temperature';

const value = (result: ReturnType<typeof parseLength>) => {
  if (!result.ok) throw new Error(result.problem.message);
  return result.value;
};

describe('lengths as people type them', () => {
  it.each([
    ['262', 262],
    ['262,5', 262.5],
    ['26.2 cm', 262],
    ['10 5/16in', 261.9375],
    ['10 5/16 in', 261.9375],
    ['10½ in', 266.7],
    ['3/8 in', 9.525],
    ['5 ft 9 in', 1752.6],
    ['5\' 9"', 1752.6],
    ['0.262 m', 262],
  ])('%s is %d mm (international inch, by definition)', (typed, mm) => {
    expect(value(parseLength(typed))).toBeCloseTo(mm, 6);
  });

  it.each(['', 'foot', '26 2 x', '5/0 in', '1..2', '12 parsec', '--3'])(
    '“%s” is refused with a sentence',
    (typed) => {
      const result = parseLength(typed);
      expect(result.ok).toBe(false);
      if (!result.ok) expect(result.problem.message).toMatch(/not a number|not a unit/);
    },
  );

  it('millimetres survive the way to inches and back, calculated or typed', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 2000, noNaN: true }), (mm) => {
        expect(inchToMm(mmToInch(mm))).toBeCloseTo(mm, 9);
        expect(value(parseLength(`${(mm / 25.4).toFixed(6)} in`))).toBeCloseTo(mm, 4);
      }),
    );
  });

  it('the same length typed in any unit is the same length', () => {
    fc.assert(
      fc.property(fc.integer({ min: 100, max: 3500 }), (tenths) => {
        const mm = value(parseLength(`${tenths / 10} mm`));
        for (const [unit, inMm] of [
          ['cm', 10],
          ['m', 1000],
          ['in', 25.4],
          ['ft', 304.8],
        ] as const)
          expect(value(parseLength(`${(tenths / 10 / inMm).toFixed(8)} ${unit}`)), unit).toBeCloseTo(mm, 4);
      }),
    );
  });
});

describe('masses, distances and other units', () => {
  it('160 lb is 72.57 kg and 11 st 4 lb is 71.67 kg', () => {
    const pounds = parseMass('160 lb');
    const stones = parseMass('11 st 4 lb');
    expect(pounds.ok && pounds.value).toBeCloseTo(72.575, 3);
    expect(stones.ok && stones.value).toBeCloseTo(71.668, 3);
  });

  it('400 mi is 643.7 km (1 mi = 1.609344 km)', () => {
    const result = parseDistance('400 mi');
    expect(result.ok && result.value).toBeCloseTo(643.7376, 4);
  });

  it('a lunge typed in millimetres is kept in centimetres', () => {
    const result = parseIn('cm', '95 mm');
    expect(result.ok && result.value).toBe(9.5);
  });

  it('a plain number has a decimal point or comma; anything else is answered with the sentence asked for', () => {
    expect(parseNumber(' 12,5 ', 'No.')).toEqual({ ok: true, value: 12.5 });
    expect(parseNumber('−3', 'No.')).toEqual({ ok: true, value: -3 });
    for (const typed of ['', '  ', 'twelve', '1,2,3', 'Infinity'])
      expect(parseNumber(typed, 'No.')).toMatchObject({ ok: false, problem: { message: 'No.' } });
  });

  it('prints a unit after the figure and a true minus sign', () => {
    expect(printIn('mm', 262.54)).toBe('262.5\u2009mm');
    expect(printIn('deg', -4)).toBe('−4°');
    expect(printIn('count', 3)).toBe('3');
  });

  it('a temperature is Celsius unless it says Fahrenheit', () => {
    for (const [typed, celsius] of [
      ['32.4', 32.4],
      ['32,4 °C', 32.4],
      ['90.32 F', 32.4],
      ['98.6°f', 37],
      ['-2 C', -2],
    ] as const)
      expect(parseTemperature(typed)).toMatchObject({ ok: true, value: expect.closeTo(celsius, 6) });
    for (const typed of ['', 'warm', '32 K', '1,2,3']) expect(parseTemperature(typed).ok).toBe(false);
  });
});
