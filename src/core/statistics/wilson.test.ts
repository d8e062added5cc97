import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { wilson } from './wilson';

describe('a proportion and its interval', () => {
  // Newcombe RG, Stat Med 1998;17:857–872, table I, score method; from memory.
  it.each([
    [81, 263, 0.2553, 0.3662],
    [15, 148, 0.0624, 0.1605],
    [0, 20, 0, 0.1611],
    [1, 29, 0.0061, 0.1718],
  ])('%i of %i lies between %f and %f', (count, of, from, to) => {
    const interval = wilson(count, of);
    expect(interval.from).toBeCloseTo(from, 4);
    expect(interval.to).toBeCloseTo(to, 4);
  });

  it('holds its share, lies within 0 and 1, narrows with more, and of nothing says nothing', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 300 }), fc.integer({ min: 1, max: 300 }), (part, of) => {
        const count = Math.min(part, of);
        const { share, from, to } = wilson(count, of);
        expect(from).toBeGreaterThanOrEqual(0);
        expect(to).toBeLessThanOrEqual(1);
        expect(share!).toBeGreaterThanOrEqual(from - 1e-12);
        expect(share!).toBeLessThanOrEqual(to + 1e-12);
        const ten = wilson(count * 10, of * 10);
        expect(ten.to - ten.from).toBeLessThan(to - from);
      }),
    );
    expect(wilson(0, 0)).toEqual({ count: 0, of: 0, share: null, from: 0, to: 1 });
  });
});
