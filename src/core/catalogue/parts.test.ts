import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { idsOfPart, MOST_PART_BITS, partBits } from './parts';

describe('parts of a catalogue', () => {
  it('every identifier lies in exactly one of them, and in their order', () => {
    fc.assert(
      fc.property(fc.uuid(), fc.integer({ min: 0, max: MOST_PART_BITS }), (id, bits) => {
        const parts = Array.from({ length: 2 ** bits }, (_, part) => idsOfPart(bits, part));
        expect(parts.filter(({ from, to }) => from <= id && id <= to)).toHaveLength(1);
        expect(parts.map(({ from }) => from)).toEqual(parts.map(({ from }) => from).toSorted());
      }),
    );
  });

  it.each([
    [0, 0],
    [269, 0],
    [800, 0],
    [801, 1],
    [10_000, 4],
    [50_000, 6],
    [1_000_000, 6],
  ])('%i models: %i bits', (models, bits) => expect(partBits(models)).toBe(bits));
});
