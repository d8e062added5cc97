import { quickest } from '@tests/fixtures/quickest';
import { sockDrawers } from '@tests/fixtures/sock-drawers';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type CarryInput, carrySet } from './carry';
import type { SockKind } from './sock-stack';

const answer = (input: CarryInput) => {
  const result = carrySet(input);
  if (!result.ok) throw new Error(result.problem.message);
  return result.value;
};
const kind = (ply: number, quantity: number, hole = false): SockKind => ({ ply, hole, quantity });

/** Every sum that some of these make. */
function sumsOf(socks: readonly number[]): Set<number> {
  const sums = new Set([0]);
  for (const ply of socks) for (const sum of [...sums]) sums.add(sum + ply);
  return sums;
}

/** The fewest to carry, by trying every set of what is left. */
function byTryingAll({ drawer, worn, range, needsHole }: CarryInput): number {
  const left = drawer.flatMap(({ ply, hole, quantity }) =>
    needsHole && !hole ? [] : (Array(quantity).fill(ply) as number[]),
  );
  for (const ply of worn) {
    const at = left.indexOf(ply);
    if (at >= 0) left.splice(at, 1);
  }
  const all = sumsOf([...worn, ...left]);
  const wanted = [];
  for (let ply = Math.max(0, range.from - 1); ply <= range.to + 1; ply += 1)
    if (all.has(ply)) wanted.push(ply);
  const must = [1, 3].filter((ply) => left.includes(ply));
  let fewest = Number.POSITIVE_INFINITY;
  for (let mask = 0; mask < 1 << left.length; mask += 1) {
    const taken = left.filter((_, at) => mask & (1 << at));
    if (taken.length >= fewest || must.some((ply) => !taken.includes(ply))) continue;
    const sums = sumsOf([...worn, ...taken]);
    if (wanted.every((ply) => sums.has(ply))) fewest = taken.length;
  }
  return fewest;
}

describe('what to carry', () => {
  it('never less than a 1-ply and a 3-ply (handbook 06)', () =>
    expect(
      answer({
        drawer: [kind(1, 3), kind(3, 3), kind(5, 1)],
        worn: [1],
        range: { from: 2, to: 2 },
        needsHole: false,
      }).carry,
    ).toEqual([3, 1]));

  it('reaches one less than expected too: two 1-ply make the 2 that a 3-ply wearer may fall to', () =>
    expect(
      answer({
        drawer: [kind(1, 3), kind(3, 3), kind(5, 1)],
        worn: [3],
        range: { from: 3, to: 3 },
        needsHole: false,
      }).carry,
    ).toEqual([3, 1, 1]));

  it('says which of them the drawer lacks, and what it cannot make', () => {
    const { carry, lacks, missing } = answer({
      drawer: [kind(3, 3)],
      worn: [3],
      range: { from: 3, to: 5 },
      needsHole: false,
    });
    expect(carry).toEqual([3]);
    expect(missing).toEqual([2, 4, 5]);
    expect(lacks).toEqual([
      'No 1-ply is left to take along: a 1-ply and a 3-ply always go along.',
      'The drawer cannot make 2, 4, 5 ply.',
    ]);
  });

  it('counts only socks with a hole for a pin, and says when there is none', () => {
    const drawer = [kind(1, 4), kind(3, 2, true)];
    const pin = { drawer, worn: [3], range: { from: 3, to: 6 }, needsHole: true };
    expect(answer(pin).carry).toEqual([3]);
    expect(answer({ ...pin, drawer: [kind(1, 4)], worn: [] }).sentence).toContain('has a hole');
  });

  it('is as small as trying every set finds, up to twelve socks', () => {
    fc.assert(
      fc.property(
        sockDrawers,
        fc.integer({ min: 0, max: 8 }),
        fc.integer({ min: 0, max: 6 }),
        fc.boolean(),
        fc.constantFrom([], [3], [5, 1]),
        (drawer, from, more, needsHole, worn) => {
          const input = { drawer, worn, range: { from, to: from + more }, needsHole };
          expect(answer(input).carry.length).toBe(byTryingAll(input));
        },
      ),
      { numRuns: 150 },
    );
  });

  it('takes no longer than ten milliseconds for forty socks', () => {
    const drawers = [
      [kind(1, 10), kind(2, 10), kind(3, 10), kind(5, 10)],
      [kind(1, 2), kind(3, 2), kind(7, 18), kind(11, 18)],
      Array.from({ length: 20 }, (_, at) => kind(at + 1, 2)),
    ];
    for (const drawer of drawers)
      expect(
        quickest(() => answer({ drawer, worn: [5], range: { from: 0, to: 20 }, needsHole: false })),
      ).toBeLessThan(10);
  });

  it('refuses a range that is none', () =>
    expect(carrySet({ drawer: [], worn: [], range: { from: 4, to: 2 }, needsHole: false }).ok).toBe(false));
});
