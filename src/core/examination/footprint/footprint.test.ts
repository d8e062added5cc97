import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type FootprintSettings, footprint } from '@/simulators/footprint-scanner';
import { measurePrint } from './indices';
import type { Picture } from './picture';
import { findPrint, indicesOf, type PrintOptions, paint, printLength } from './read-print';
import { mmPerPixel } from './scale';

const read = (wanted: Partial<FootprintSettings>, options: Partial<PrintOptions> = {}) => {
  const { picture, truth, settings } = footprint({ pixelsPerMm: 2.5, ...wanted });
  const found = findPrint(picture, { side: settings.side, ...options });
  if (!found.ok) throw new Error(found.problem.message);
  const indices = indicesOf(found.value);
  if (!indices.ok) throw new Error(indices.problem.message);
  return { found: found.value, indices: indices.value, truth, settings };
};
const plain = (width: number, height: number, level: number, spread = 0): Picture => {
  const data = new Uint8ClampedArray(width * height * 4).fill(level);
  for (let at = 0; at < data.length; at += 1) data[at]! += ((at * 2654435761) % 7) * spread;
  return { width, height, data };
};

describe('the drawn arch index is recovered within 0.01', () => {
  it.each([
    ['low arch', { archIndex: 0.3 }],
    ['medium arch', { archIndex: 0.235 }],
    ['high arch', { archIndex: 0.19 }],
    ['left, turned', { side: 'left', turnDeg: 37 }],
    ['lying across the page', { turnDeg: 90, toeGapMm: 1 }],
    ['toes down the page', { turnDeg: 180 }],
    ['toes that touch', { toeGapMm: -1 }],
    ['no toes', { toes: false }],
    ['a pen tracing', { tracedLineMm: 1.2 }],
    ['red on black', { ink: [220, 60, 40], paper: [20, 22, 26] }],
    ['light print, lamp to one side', { ink: [170, 172, 178], shade: 0.3 }],
    ['a woman’s small foot, noisy', { lengthMm: 222, forefootWidthMm: 80, heelWidthMm: 50, grain: 9 }],
  ] as [string, Partial<FootprintSettings>][])('%s', (_, wanted) => {
    const { indices, truth, settings, found } = read(wanted);
    expect(Math.abs(indices.archIndex - truth.archIndex)).toBeLessThan(0.01);
    expect(Math.abs(indices.chippauxSmirak - truth.chippauxSmirak)).toBeLessThan(1.5);
    expect(Math.abs(indices.staheli - truth.staheli)).toBeLessThan(0.03);
    const mm = found.factor / settings.pixelsPerMm;
    expect(Math.abs(indices.lengthToeless * mm - truth.toelessLengthMm)).toBeLessThan(1.5);
    expect(found.seenSide).toBe(settings.side);
  });

  it('holds for any turn and scale', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 359 }),
        fc.double({ min: 2.2, max: 3, noNaN: true }),
        (turnDeg, pixelsPerMm) => {
          const { indices, truth } = read({ turnDeg, pixelsPerMm, archIndex: 0.25 });
          expect(Math.abs(indices.archIndex - truth.archIndex)).toBeLessThan(0.01);
        },
      ),
      { numRuns: 6, seed: 5 },
    );
  }, 30_000);

  it('does not care where on a larger sheet the print lies, nor which way up the sheet is', () => {
    const { picture, truth } = footprint({ pixelsPerMm: 2, archIndex: 0.24, shade: 0, grain: 0 });
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 160 }),
        fc.integer({ min: 0, max: 160 }),
        fc.boolean(),
        (dx, dy, over) => {
          const sheet: Picture = {
            width: picture.width + 160,
            height: picture.height + 160,
            data: new Uint8ClampedArray((picture.width + 160) * (picture.height + 160) * 4),
          };
          for (let at = 0; at < sheet.data.length; at += 4) sheet.data.set(picture.data.subarray(0, 4), at);
          for (let y = 0; y < picture.height; y += 1)
            for (let x = 0; x < picture.width; x += 1) {
              const from = (y * picture.width + x) * 4;
              const place = over
                ? (sheet.height - 1 - y - dy) * sheet.width + (sheet.width - 1 - x - dx)
                : (y + dy) * sheet.width + x + dx;
              sheet.data.set(picture.data.subarray(from, from + 4), place * 4);
            }
          const found = findPrint(sheet, { side: 'right' });
          const indices = found.ok ? indicesOf(found.value) : found;
          expect(indices.ok && Math.abs(indices.value.archIndex - truth.archIndex)).toBeLessThan(0.01);
          expect(found.ok && found.value.seenSide).toBe('right');
        },
      ),
      { numRuns: 5, seed: 9 },
    );
  }, 30_000);

  it('measures the length from heel to longest toe', () => {
    const { found, settings } = read({});
    const mm = (printLength(found) * found.factor) / settings.pixelsPerMm;
    expect(Math.abs(mm - 255)).toBeLessThan(1.5);
  });
});

describe('a mirrored print is the other foot', () => {
  it('says so, and reads the same once told', () => {
    const told = read({ mirrored: true }, { mirrored: true });
    expect(told.found.notes).not.toContain('wrong-side');
    const untold = read({ mirrored: true });
    expect(untold.found.notes).toContain('wrong-side');
    expect(untold.found.seenSide).toBe('left');
    expect(untold.indices.archIndex).toBeCloseTo(told.indices.archIndex, 2);
    expect(told.indices.clarkeDeepest).toBeGreaterThan(untold.indices.clarkeDeepest + 20);
  });
});

describe('Clarke’s angle', () => {
  it('matches the worked example: 70 mm behind and 55 mm lateral is 38.2°', () => {
    // A heel and a forefoot joined by a strip, its inner edge 55 px in at 70 px behind the forefoot point.
    const width = 120;
    const height = 240;
    const data = new Uint8Array(width * height);
    const fill = (fromY: number, toY: number, fromX: number) => {
      for (let y = fromY; y < toY; y += 1) for (let x = fromX; x < 100; x += 1) data[y * width + x] = 1;
    };
    fill(20, 71, 10);
    fill(71, 140, 64);
    fill(140, 141, 65);
    fill(141, 180, 64);
    fill(180, 230, 10);
    const axis = { heel: { x: 55, y: 229 }, toe: { x: 55, y: 20 } };
    const indices = measurePrint({ width, height, data }, axis, 'right');
    expect(indices.clarkeDeepest).toBeCloseTo((Math.atan(55 / 70) * 180) / Math.PI, 0);
    expect(indices.clarkeTangent).toBeGreaterThan(indices.clarkeDeepest);
  });

  it('is 0, not missing, without a hollow', () => {
    const data = new Uint8Array(100 * 240);
    for (let y = 10; y < 230; y += 1) for (let x = 20; x < 80; x += 1) data[y * 100 + x] = 1;
    const indices = measurePrint(
      { width: 100, height: 240, data },
      { heel: { x: 50, y: 229 }, toe: { x: 50, y: 10 } },
      'left',
    );
    expect(indices.clarkeDeepest).toBe(0);
    expect(indices.clarkeTangent).toBe(0);
    expect(indices.archIndex).toBeCloseTo(1 / 3, 2);
    expect(indices.chippauxSmirak).toBeCloseTo(100, 5);
  });

  it('falls as the arch index rises', () => {
    const angles = [0.2, 0.24, 0.28].map((archIndex) => read({ archIndex }).indices.clarkeDeepest);
    expect(angles[0]).toBeGreaterThan(angles[1]!);
    expect(angles[1]).toBeGreaterThan(angles[2]!);
  });
});

describe('pictures that are no print', () => {
  const code = (picture: Picture, options: Partial<PrintOptions> = {}) => {
    const found = findPrint(picture, { side: 'right', ...options });
    return found.ok ? null : found.problem.code;
  };
  it.each([
    ['blank paper', plain(400, 600, 225, 1), 'blank'],
    ['burnt out', plain(400, 600, 255), 'over-exposed'],
    ['too dark', plain(400, 600, 8), 'no-contrast'],
  ] as [string, Picture, string][])('%s', (_, picture, expected) => {
    expect(code(picture)).toBe(expected);
  });

  it('a tiny print asks for a closer picture', () => {
    expect(code(footprint({ pixelsPerMm: 0.35 }).picture)).toBe('too-small');
  });

  it('a round blot is no foot', () => {
    const blot = plain(400, 400, 240);
    for (let y = 0; y < 400; y += 1)
      for (let x = 0; x < 400; x += 1)
        if ((x - 200) ** 2 + (y - 200) ** 2 < 120 ** 2)
          blot.data.fill(30, (y * 400 + x) * 4, (y * 400 + x) * 4 + 3);
    expect(code(blot)).toBe('not-a-foot');
  });

  it('two feet ask which one, and either can be read', () => {
    const left = footprint({ side: 'left', pixelsPerMm: 2, archIndex: 0.21, shade: 0 });
    const right = footprint({ side: 'right', pixelsPerMm: 2, archIndex: 0.28, shade: 0 });
    const { width, height } = left.picture;
    const both: Picture = { width: width * 2, height, data: new Uint8ClampedArray(width * 2 * height * 4) };
    for (let y = 0; y < height; y += 1) {
      const row = width * 4;
      both.data.set(left.picture.data.subarray(y * row, (y + 1) * row), y * row * 2);
      both.data.set(right.picture.data.subarray(y * row, (y + 1) * row), y * row * 2 + row);
    }
    expect(code(both)).toBe('two-prints');
    for (const [which, side, truth] of [
      ['first', 'left', left.truth],
      ['second', 'right', right.truth],
    ] as const) {
      const found = findPrint(both, { side, which });
      expect(found.ok && found.value.seenSide).toBe(side);
      const indices = found.ok ? indicesOf(found.value) : found;
      expect(indices.ok && Math.abs(indices.value.archIndex - truth.archIndex)).toBeLessThan(0.01);
    }
    const byCrop = findPrint(both, { side: 'right', crop: { left: 0.5, top: 0, right: 1, bottom: 1 } });
    expect(byCrop.ok && byCrop.value.seenSide).toBe('right');
  });

  it('an interrupted print has a midfoot width of 0', () => {
    const { indices, found } = read({ gapMm: 12, archIndex: 0.17 });
    expect(indices.chippauxSmirak).toBe(0);
    expect(indices.staheli).toBe(0);
    expect(found.notes).toContain('interrupted');
  });

  it('a tracing around the whole foot is called one', () => {
    const { found } = read({
      archIndex: 0.34,
      forefootWidthMm: 76,
      heelWidthMm: 72,
      tracedLineMm: 1,
      toes: false,
    });
    expect(found.notes).toContain('foot-outline');
  });
});

describe('corrections', () => {
  it('wiping the midfoot lowers the arch index; wiping everything refuses', () => {
    const { found, indices } = read({ archIndex: 0.28 });
    const middle = {
      x: (found.axis.heel.x + found.axis.toe.x) / 2,
      y: (found.axis.heel.y + found.axis.toe.y) / 2,
    };
    const wiped = indicesOf({ ...found, sole: paint(found.sole, middle, 30, 0) });
    expect(wiped.ok && wiped.value.archIndex).toBeLessThan(indices.archIndex);
    const nothing = indicesOf({ ...found, sole: paint(found.sole, middle, 5000, 0) });
    expect(nothing.ok).toBe(false);
  });
});

describe('millimetres for a print', () => {
  const line = [
    { x: 0, y: 0 },
    { x: 30, y: 40 },
  ] as const;
  it('come from a ruler in the picture before the foot length, and are unknown without either', () => {
    expect(mmPerPixel(500, 250, null, null)).toBe(0.5);
    expect(mmPerPixel(500, 250, line, 100)).toBe(2);
    expect(mmPerPixel(500, null, null, 100)).toBeNull();
    expect(mmPerPixel(500, 250, line, 0)).toBe(0.5);
    expect(mmPerPixel(500, null, [line[0], line[0]], 100)).toBeNull();
  });
});
