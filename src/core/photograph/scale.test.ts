import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { noise } from '@/simulators/noise';
import { lengthIn, lengthInWords } from './scale';
import type { Line } from './tilt';

const level = (length: number, y = 0): Line => [
  { x: 0, y },
  { x: length, y },
];

describe('a length in a picture', () => {
  it('is as long as its share of what is known, whatever the size of the picture', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.2, max: 5, noNaN: true }), (zoom) => {
        const read = lengthIn({ known: level(594 * zoom), mm: 297 }, level(100 * zoom, 9), 1200 * zoom)!;
        expect(read.mm).toBeCloseTo(50, 6);
      }),
    );
  });

  it('is off by as much as it says when both lines are placed again and again', () => {
    const random = noise(5);
    const around = ([a, b]: Line): Line => {
      const near = (spot: Line[0]) => ({
        x: spot.x + 2.5 * random.normal(),
        y: spot.y + 2.5 * random.normal(),
      });
      return [near(a), near(b)];
    };
    const [known, measured] = [level(500), level(160, 40)];
    const reads = Array.from(
      { length: 4000 },
      () => lengthIn({ known: around(known), mm: 210 }, around(measured), 1200)!.mm,
    );
    const mean = reads.reduce((sum, mm) => sum + mm, 0) / reads.length;
    const spread = Math.sqrt(reads.reduce((sum, mm) => sum + (mm - mean) ** 2, 0) / reads.length);
    expect(spread / lengthIn({ known, mm: 210 }, measured, 1200)!.error).toBeGreaterThan(0.95);
    expect(spread / lengthIn({ known, mm: 210 }, measured, 1200)!.error).toBeLessThan(1.05);
  });

  it('is nothing where a line has no length, and is never written surer than a millimetre', () => {
    expect(lengthIn({ known: level(0), mm: 100 }, level(10), 1200)).toBeNull();
    expect(lengthInWords({ known: level(1000), mm: 100 }, 1200)).toBeNull();
    expect(lengthInWords({ known: level(1000), mm: 100, measured: level(500) }, 1200)).toBe('50 ± 1 mm');
  });
});
