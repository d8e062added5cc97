import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Eyelet, eyeletKey, type LaceSide, otherSide, USUAL_THROAT } from './eyelets';
import { laceLengthMm, soldLengthCm, TAKEN_UP } from './length';
import { type LaceDesign, lacePath, moveOf, PLAIN, readBack, segmentsOf } from './path';

const in6 = (part: Partial<LaceDesign> = {}, extraRow: number | null = null) => {
  const path = lacePath(0, 6, extraRow, { ...PLAIN, ...part });
  if (!path.ok) throw new Error(path.problem.message);
  return path.value;
};
const words = (nodes: readonly Eyelet[]) => nodes.map(({ side, row }) => `${side[0]}${row + 1}`).join(' ');

/** Any lacing of a zone. */
const designs: fc.Arbitrary<{ first: number; pairs: number; extra: boolean; design: LaceDesign }> = fc
  .record({
    first: fc.integer({ min: 0, max: 4 }),
    pairs: fc.integer({ min: 2, max: 12 }),
    extra: fc.boolean(),
    base: fc.constantFrom('cross' as const, 'parallel' as const, 'toe-lift' as const),
    inner: fc.integer({ min: 0, max: 3 }),
    outer: fc.integer({ min: 0, max: 3 }),
    straight: fc.array(fc.integer({ min: 0, max: 15 }), { maxLength: 3 }),
    isLocked: fc.boolean(),
    lift: fc.constantFrom<LaceSide>('inner', 'outer'),
  })
  .map(({ first, pairs, extra, base, inner, outer, straight, isLocked, lift }) => ({
    first,
    pairs,
    extra,
    design: { base, open: { inner, outer }, straightAfter: straight, twistAfter: null, isLocked, lift },
  }));

describe('one lace', () => {
  it('goes the way that each pattern is known for', () => {
    expect(words(in6().nodes)).toBe('o6 i5 o4 i3 o2 i1 o1 i2 o3 i4 o5 i6');
    // Past a sore place between the third and the fourth pair both ends stay on their side.
    expect(words(in6({ straightAfter: [2] }).nodes)).toBe('i6 o5 i4 i3 o2 i1 o1 i2 o3 o4 i5 o6');
    expect(words(in6({ open: { inner: 1, outer: 1 } }).nodes)).toBe('i6 o5 i4 o3 i2 o2 i3 o4 i5 o6');
    // The big-toe side is left free; the other side is climbed until both are level.
    expect(words(in6({ open: { inner: 2, outer: 0 } }).nodes)).toBe('o6 i5 o4 i3 o1 o2 o3 i4 o5 i6');
    expect(words(in6({ base: 'toe-lift' }).nodes)).toBe('o6 i1 o1 i2 o2 i3 o3 i4 o4 i5 o5 i6');
    expect(words(in6({ base: 'parallel' }).nodes)).toBe('i6 i4 o4 o2 i2 i1 o1 o3 i3 i5 o5 o6');
  });

  it('is a single one through every eyelet that it uses, once on each side, and ends on both sides of the top', () => {
    fc.assert(
      fc.property(designs, ({ first, pairs, extra, design }) => {
        const path = lacePath(first, pairs, extra ? first + pairs : null, design);
        if (!path.ok) return;
        const keys = path.value.nodes.map(eyeletKey);
        expect(new Set(keys).size).toBe(keys.length);
        const last = design.isLocked ? first + pairs : first + pairs - 1;
        const ends = [path.value.nodes[0]!, path.value.nodes.at(-1)!];
        expect(ends.map(({ row }) => row)).toEqual([last, last]);
        expect(ends[0]!.side).toBe(otherSide(ends[1]!.side));
        // Nothing is left out but what was to be left open.
        const open = (side: LaceSide) => (design.base === 'cross' ? design.open[side] : 0);
        expect(keys).toHaveLength(2 * pairs - open('inner') - open('outer') + (design.isLocked ? 2 : 0));
      }),
    );
  });

  it('read back from the pieces that are drawn, in whatever order, is the path that was computed', () => {
    fc.assert(
      fc.property(designs, fc.infiniteStream(fc.nat()), ({ first, pairs, extra, design }, shuffle) => {
        const path = lacePath(first, pairs, extra ? first + pairs : null, design);
        if (!path.ok) return;
        const pieces = segmentsOf(path.value)
          .map((piece) => ({ piece, at: shuffle.next().value }))
          .toSorted((a, b) => a.at - b.at)
          .map(({ piece: { from, to }, at }) => (at % 2 === 0 ? { from, to } : { from: to, to: from }));
        const read = readBack(pieces);
        const order = words(path.value.nodes);
        const back = words([...path.value.nodes].toReversed());
        expect(read.ok && [order, back].includes(words(read.value))).toBe(true);
      }),
    );
    expect(readBack(segmentsOf(in6()).filter((_, at) => at !== 3))).toMatchObject({ ok: false });
  });

  it('crosses nothing where it is to go straight up, and nothing at all as a ladder', () => {
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 12 }), fc.integer({ min: 0, max: 10 }), (pairs, gap) => {
        const window = lacePath(0, pairs, null, { ...PLAIN, straightAfter: [gap] });
        const over = (path: typeof window, from: number) =>
          path.ok &&
          segmentsOf(path.value).some(
            (piece) =>
              moveOf(piece.from, piece.to) === 'cross' && Math.min(piece.from.row, piece.to.row) === from,
          );
        expect(over(window, gap)).toBe(false);
        const ladder = lacePath(0, pairs, null, { ...PLAIN, base: 'parallel' });
        // At most the last move goes over, so that a bow can be tied.
        for (let row = 0; row < pairs - 3; row += 1) expect(over(ladder, row)).toBe(false);
      }),
    );
  });

  it('mirrored, it is the lacing of the mirrored shoe', () => {
    fc.assert(
      fc.property(designs, ({ first, pairs, extra, design }) => {
        const extraRow = extra ? first + pairs : null;
        const mirrored = lacePath(first, pairs, extraRow, {
          ...design,
          open: { inner: design.open.outer, outer: design.open.inner },
          lift: otherSide(design.lift),
        });
        const path = lacePath(first, pairs, extraRow, design);
        expect(mirrored.ok).toBe(path.ok);
        if (!mirrored.ok || !path.ok) return;
        const pieces = (nodes: readonly Eyelet[], flip: boolean) =>
          segmentsOf({ nodes })
            .map(({ from, to }) =>
              [from, to]
                .map(({ side, row }) => eyeletKey({ side: flip ? otherSide(side) : side, row }))
                .toSorted()
                .join('-'),
            )
            .toSorted();
        // A ladder has a handedness of its own: which end takes the odd rows.
        if (design.base !== 'parallel')
          expect(pieces(mirrored.value.nodes, true)).toEqual(pieces(path.value.nodes, false));
      }),
    );
  });

  it('a lock needs the extra eyelet, and something must be left to hold the shoe', () => {
    expect(lacePath(0, 6, null, { ...PLAIN, isLocked: true })).toMatchObject({
      ok: false,
      problem: { code: 'no-eyelet' },
    });
    expect(words(in6({ isLocked: true }, 6).nodes)).toBe('o7 o6 i5 o4 i3 o2 i1 o1 i2 o3 i4 o5 i6 i7');
    expect(lacePath(0, 3, null, { ...PLAIN, open: { inner: 2, outer: 0 } })).toMatchObject({
      ok: false,
      problem: { code: 'too-few' },
    });
  });
});

describe('length of a lace', () => {
  const eyelets = { zones: [6], extra: true };
  const even = { pitchMm: 15, lowMm: 40, highMm: 40 };
  const fixed = 12 * TAKEN_UP.hole + 2 * TAKEN_UP.bow;

  it('is what the geometry says: a bar and ten diagonals criss-cross, five bars and the edges as a ladder', () => {
    expect(laceLengthMm(in6(), eyelets, even) - fixed).toBeCloseTo(40 + 10 * Math.hypot(40, 15), 9);
    // Bars at rows 1 to 5; edges of two rows each but the first and the last move.
    const ladder = laceLengthMm(in6({ base: 'parallel' }), eyelets, even) - fixed;
    expect(ladder).toBeCloseTo(5 * 40 + (1 + 2 + 2 + 2 + 2 + 1) * 15, 9);
  });

  it('grows with every pair, with the throat, and with a lock; a shop has one that is long enough', () => {
    const of = (pairs: number) => {
      const path = lacePath(0, pairs, null, PLAIN);
      return path.ok ? laceLengthMm(path.value, { zones: [pairs], extra: false }) : 0;
    };
    for (let pairs = 2; pairs < 12; pairs += 1) expect(of(pairs + 1)).toBeGreaterThan(of(pairs));
    const wide = { ...USUAL_THROAT, lowMm: 60, highMm: 70 };
    expect(laceLengthMm(in6(), eyelets, wide)).toBeGreaterThan(laceLengthMm(in6(), eyelets));
    expect(laceLengthMm(in6({ isLocked: true }, 6), eyelets)).toBeGreaterThan(laceLengthMm(in6(), eyelets));
    expect(soldLengthCm(1190)).toBe(120);
    expect(soldLengthCm(1201)).toBe(140);
    expect(soldLengthCm(9999)).toBe(240);
  });
});
