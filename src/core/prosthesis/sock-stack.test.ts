import { sockDrawers } from '@tests/fixtures/sock-drawers';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
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
        sockDrawers,
        fc.integer({ min: 1, max: 14 }),
        fc.boolean(),
        (inventory, wanted, needsHole) => {
          const socks = inventory.flatMap((kind) =>
            needsHole && !kind.hole ? [] : (Array(kind.quantity).fill(kind.ply) as number[]),
          );
          let fewest = Number.POSITIVE_INFINITY;
          let thickest = 0;
          for (let mask = 0; mask < 1 << socks.length; mask += 1) {
            const worn = socks.filter((_, at) => mask & (1 << at));
            if (worn.reduce((sum, ply) => sum + ply, 0) !== wanted || worn.length > fewest) continue;
            if (worn.length < fewest) thickest = 0;
            fewest = worn.length;
            thickest = Math.max(thickest, ...worn);
          }
          const exact = answer(inventory, wanted, needsHole).exact;
          expect(exact?.socks.length ?? Number.POSITIVE_INFINITY).toBe(fewest);
          // The thicker inside: of as many socks no other begins thicker.
          if (exact && exact.socks.length > 0) expect(exact.socks[0]).toBe(thickest);
        },
      ),
    );
  });

  it('says why nothing can be worn', () => {
    expect(answer([], 3, false).sentence).toBe('The drawer is empty.');
    expect(answer([{ ply: 3, hole: false, quantity: 4 }], 3, true).sentence).toContain(
      'No sock in the drawer has a hole',
    );
    expect(answer([{ ply: 3, hole: true, quantity: 0 }], 3, true).sentence).toBe('The drawer is empty.');
  });

  it('takes two hundred socks, not more, and none of 0 or 40 ply', () => {
    const many = (quantity: number) => sockStack([{ ply: 1, hole: false, quantity }], 12, false);
    expect(many(200)).toMatchObject({ ok: true, value: { exact: { ply: 12 } } });
    expect(many(201)).toMatchObject({ ok: false });
    for (const ply of [0, 40, 2.5])
      expect(sockStack([{ ply, hole: false, quantity: 1 }], 3, false)).toMatchObject({ ok: false });
  });

  it('refuses a ply that is none', () => {
    expect(sockStack(drawer, 2.5, false).ok).toBe(false);
    expect(sockStack(drawer, -1, false).ok).toBe(false);
  });
});
