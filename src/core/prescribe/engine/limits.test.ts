import { testPush } from '@tests/fixtures/push';
import { describe, expect, it } from 'vitest';
import type { FeatureId } from '../../shoe/features';
import { deadlockOfHeights, deadlockOn, minimalContradictions } from './limits';
import { resolveFeature } from './resolve-feature';
import type { Push } from './specification';

const limit = (rule: string, from: number, to: number, part: Partial<Push> = {}) =>
  testPush(rule, { band: { from, to }, reach: 8 }, { strength: 'limit', ...part });

describe('smallest sets that cannot hold together', () => {
  const disjoint = (subset: readonly number[]) => subset.reduce((a, b) => a & b, 0b1111) !== 0;

  it('each fails as a whole and holds without any one of its members; larger sets around it are not told again', () => {
    expect(minimalContradictions([0b1100, 0b0011, 0b1010, 0b0101], disjoint)).toEqual([
      [0b1100, 0b0011],
      [0b1010, 0b0101],
    ]);
    expect(minimalContradictions([0b0110, 0b0011, 0b0101], disjoint)).toEqual([[0b0110, 0b0011, 0b0101]]);
  });

  it('one that can never hold is a set of its own; where all hold there is none', () => {
    expect(minimalContradictions([0, 0b1111], disjoint)).toEqual([[0]]);
    expect(minimalContradictions([0b1111, 0b0001], disjoint)).toEqual([]);
    expect(minimalContradictions([], disjoint)).toEqual([]);
  });
});

describe('what lies beyond the scale', () => {
  it('is a deadlock of its own that says how much was asked and where the scale ends, a wish as well as a limit', () => {
    const beyond = (part: Partial<Push>) =>
      resolveFeature(
        { feature: 'insoleDepth' },
        [testPush('thick insert', { band: { from: 22, to: 22 }, reach: 4 }, part)],
        { explained: true },
      )!.deadlock!;
    for (const strength of ['limit', 'strong'] as const) {
      const deadlock = beyond({ strength });
      expect(deadlock.rules).toEqual(['thick insert']);
      expect(deadlock.message.replace(/\s/g, ' ')).toBe(
        'Extra depth, insole out: thick insert asks for 22 mm, and no shoe has more than 16 mm. Change what asks for it, or set it aside with a reason.',
      );
    }
    // Set aside it asks for nothing; just inside the scale it is an ordinary wish.
    expect(
      resolveFeature(
        { feature: 'insoleDepth' },
        [testPush('thick insert', { band: { from: 22, to: 22 }, reach: 4 }, { setAside: 'thinned' })],
        { explained: true },
      )!.deadlock,
    ).toBeNull();
    expect(
      resolveFeature({ feature: 'insoleDepth' }, [testPush('ok', { band: { from: 16, to: 22 }, reach: 4 })], {
        explained: true,
      })!.deadlock,
    ).toBeNull();
  });
});

describe('a deadlock on one scale', () => {
  const values = Array.from({ length: 26 }, (_, mm) => mm);
  const on = (...limits: Push[]) => deadlockOn('drop', limits, values);

  it('names what clashes in one sentence, and how many more such sets there are', () => {
    expect(on(limit('low', 0, 4), limit('high', 10, 25))!.message).toBe(
      'Heel-to-toe drop: low and high cannot both hold. Set one aside with a reason.',
    );
    const two = on(limit('low', 0, 4), limit('lower', 0, 3), limit('high', 10, 25))!;
    expect(two.sets).toEqual([
      ['low', 'high'],
      ['lower', 'high'],
    ]);
    expect(two.message).toMatch(/ 1 more such set\.$/);
    const three = on(limit('a', 0, 4), limit('b', 0, 3), limit('c', 0, 2), limit('high', 10, 25))!;
    expect(three.message).toMatch(/ 2 more such sets\.$/);
  });

  it('one finding behind two limits is named once; limits that touch hold', () => {
    const twice = on(
      limit('low', 0, 4, { finding: 'wet decks' }),
      limit('high', 10, 25, { finding: 'wet decks' }),
    )!;
    expect(twice.message).toContain('Heel-to-toe drop: wet decks cannot both hold');
    expect(on(limit('low', 0, 10), limit('high', 10, 25))).toBeNull();
  });

  it('of one foot says which', () => {
    const values = [0, 1, 2, 3, 4];
    const deadlock = deadlockOn('heelLift', [limit('none', 0, 0), limit('some', 3, 4)], values, 'left')!;
    expect(deadlock.side).toBe('left');
    expect(deadlock.message).toContain(', left: none and some');
  });
});

describe('drop, heel and forefoot together', () => {
  const heights = (pushes: Partial<Record<FeatureId, Push[]>>) =>
    deadlockOfHeights(new Map(Object.entries(pushes) as [FeatureId, Push[]][]));

  it('a drop that two stacks cannot give is a deadlock, though each alone is possible', () => {
    const deadlock = heights({
      drop: [limit('drop 10 or more', 10, 25)],
      heelStack: [limit('heel at most 20', 5, 20)],
      forefootStack: [limit('forefoot at least 15', 15, 40)],
    })!;
    expect(deadlock.feature).toBe('drop');
    expect(deadlock.sets).toEqual([['drop 10 or more', 'heel at most 20', 'forefoot at least 15']]);
    expect(deadlock.message).toMatch(/^Heights: drop is heel stack less forefoot stack: /);
  });

  it('a drop that they can just give is none, at either end', () => {
    expect(
      heights({
        drop: [limit('drop', 5, 25)],
        heelStack: [limit('heel', 5, 20)],
        forefootStack: [limit('forefoot', 15, 40)],
      }),
    ).toBeNull();
    expect(
      heights({
        drop: [limit('drop', 0, 5)],
        heelStack: [limit('heel', 30, 45)],
        forefootStack: [limit('forefoot', 5, 25)],
      }),
    ).toBeNull();
    expect(
      heights({
        drop: [limit('drop', 0, 4)],
        heelStack: [limit('heel', 30, 45)],
        forefootStack: [limit('forefoot', 5, 25)],
      }),
    ).not.toBeNull();
  });

  it('what was set aside or only pulls takes no part, and one scale alone is not this deadlock', () => {
    const heel = limit('heel', 5, 20);
    const forefoot = limit('forefoot', 15, 40);
    const drop = limit('drop', 10, 25);
    expect(
      heights({ drop: [{ ...drop, setAside: 'agreed' }], heelStack: [heel], forefootStack: [forefoot] }),
    ).toBeNull();
    expect(
      heights({ drop: [{ ...drop, strength: 'strong' }], heelStack: [heel], forefootStack: [forefoot] }),
    ).toBeNull();
    expect(heights({ drop: [limit('low', 0, 4), limit('high', 10, 25)] })).toBeNull();
    expect(heights({})).toBeNull();
  });
});
