import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shankAlignment } from './shank-alignment';
import { type SockKind, sockStack } from './sock-stack';

const answer = (...args: Parameters<typeof sockStack>) => {
  const result = sockStack(...args);
  if (!result.ok) throw new Error(result.problem.message);
  return result.value;
};
const drawer: SockKind[] = [
  { ply: 1, hole: false, quantity: 3 },
  { ply: 3, hole: false, quantity: 3 },
  { ply: 5, hole: true, quantity: 1 },
];

/** Handbook 06, common practice. */
describe('sock stack', () => {
  it('three 1-ply are 3 ply and three 3-ply are 9', () => {
    expect(answer([{ ply: 1, hole: false, quantity: 3 }], 3, false).exact).toEqual({
      socks: [1, 1, 1],
      ply: 3,
    });
    expect(answer([{ ply: 3, hole: false, quantity: 3 }], 9, false).exact).toEqual({
      socks: [3, 3, 3],
      ply: 9,
    });
  });

  it('wears the fewest socks, the thicker inside', () => {
    expect(answer(drawer, 3, false).exact?.socks).toEqual([3]);
    expect(answer(drawer, 6, false).exact?.socks).toEqual([5, 1]);
  });

  it('without an exact stack it names the nearest below and above', () => {
    const near = answer([{ ply: 3, hole: true, quantity: 4 }], 4, false);
    expect(near.exact).toBeNull();
    expect([near.below?.ply, near.above?.ply]).toEqual([3, 6]);
    expect(near.sentence).toMatch(/exactly/);
  });

  it('pin suspension uses only socks with a hole', () => {
    expect(answer(drawer, 5, true).exact?.socks).toEqual([5]);
    expect(answer(drawer, 3, true).exact).toBeNull();
  });

  it('ten ply or more calls for the prosthetist', () => {
    expect(answer(drawer, 10, false).caution).toMatch(/prosthetist/);
    expect(answer(drawer, 9, false).caution).toBeNull();
  });

  it('agrees with trying every stack', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            ply: fc.constantFrom(1, 2, 3, 5, 6),
            hole: fc.boolean(),
            quantity: fc.integer({ min: 0, max: 2 }),
          }),
          { maxLength: 4 },
        ),
        fc.integer({ min: 1, max: 14 }),
        fc.boolean(),
        (inventory, wanted, needsHole) => {
          const socks = inventory.flatMap((kind) =>
            needsHole && !kind.hole ? [] : (Array(kind.quantity).fill(kind.ply) as number[]),
          );
          let fewest = Number.POSITIVE_INFINITY;
          for (let mask = 0; mask < 1 << socks.length; mask += 1) {
            const worn = socks.filter((_, at) => mask & (1 << at));
            if (worn.reduce((sum, ply) => sum + ply, 0) === wanted) fewest = Math.min(fewest, worn.length);
          }
          const exact = answer(inventory, wanted, needsHole).exact;
          expect(exact?.socks.length ?? Number.POSITIVE_INFINITY).toBe(fewest);
        },
      ),
    );
  });

  it('refuses a ply that is none', () => {
    expect(sockStack(drawer, 2.5, false).ok).toBe(false);
    expect(sockStack(drawer, -1, false).ok).toBe(false);
  });
});

const shank = (shoeRiseMm: number, setRiseMm = 9.5, leverMm = 180) => {
  const result = shankAlignment({ shoeRiseMm, setRiseMm, leverMm });
  if (!result.ok) throw new Error(result.problem.message);
  return result.value;
};

describe('shank alignment', () => {
  it('20 mm in a foot set for 9.5 with a 180 mm lever leans 3.3° forward (handbook 06, by arithmetic)', () => {
    const lean = shank(20);
    expect(lean.angleDeg).toBeCloseTo(3.34, 2);
    expect(lean).toMatchObject({ leans: 'forward', wedgeMm: null, verdict: 'do-not-walk' });
    expect(lean.sentence).toMatch(/cannot be corrected/);
  });

  it('a flat shoe leans 3.0° back and takes a wedge of 9.5 mm', () => {
    const lean = shank(0);
    expect(lean.angleDeg).toBeCloseTo(-3.02, 2);
    expect(lean.wedgeMm).toBe(9.5);
  });

  it.each([
    [170, 5, 1.7],
    [170, 10, 3.4],
    [170, 20, 6.7],
  ])('span %d mm, %d mm off: %d° (reference §9, by arithmetic)', (lever, off, degrees) => {
    expect(shank(10 + off, 10, lever).angleDeg).toBeCloseTo(degrees, 1);
  });

  it('within 3 mm fine, to 5 caution, beyond 5 mm or 2° the prosthetist, beyond 10 not at all (expert opinion, from memory, check)', () => {
    expect([12, 14, 15.5, 20].map((rise) => shank(rise, 9.5, 180).verdict)).toEqual([
      'fine',
      'caution',
      'prosthetist',
      'do-not-walk',
    ]);
    expect(shank(9.5).leans).toBe('vertical');
  });

  it('refuses a lever that is none', () => {
    expect(shankAlignment({ shoeRiseMm: 10, setRiseMm: 10, leverMm: 18 }).ok).toBe(false);
  });
});
