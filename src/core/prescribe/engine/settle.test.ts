import { testPush } from '@tests/fixtures/push';
import { describe, expect, it } from 'vitest';
import { FEATURES, type FeatureId } from '../../shoe/features';
import { resolveFeature } from './resolve-feature';
import { bandOf, costAt, settle, tensionOf, withoutEach } from './settle';
import type { Push, Target } from './specification';

const band = (from: number, to: number, reach = 8) => ({ band: { from, to }, reach });
const limit = (rule: string, from: number, to: number) =>
  testPush(rule, band(from, to), { strength: 'limit' });
const at = (feature: FeatureId, ...pushes: Push[]): Target =>
  resolveFeature({ feature }, pushes, { explained: true })!.target;

/** By arithmetic, on the drop: 0 to 25 mm in half millimetres, usually 8. */
describe('where pushes come to rest', () => {
  it('on a plateau nothing moves from the usual shoe without a reason', () => {
    expect(settle('drop', [testPush('wide', band(4, 12))]).best).toBe(8);
    expect(settle('drop', [testPush('high', band(10, 14))]).best).toBe(10);
    expect(settle('drop', [testPush('low', band(0, 3))]).best).toBe(3);
    expect(settle('drop', []).best).toBe(8);
  });

  it('a band is never wider than what pulled it', () => {
    expect(bandOf(settle('drop', [testPush('ten', band(8, 12))]))).toEqual({ from: 8, to: 12 });
    // Two that agree leave what serves both in full.
    const both = [testPush('a', band(6, 12)), testPush('b', band(8, 14))];
    expect(bandOf(settle('drop', both))).toEqual({ from: 8, to: 12 });
    // A graded wish is met from nine tenths of its best.
    const curve = testPush('curve', {
      curve: [
        [4, 0],
        [8, 1],
        [12, 0],
      ] as const,
    });
    expect(bandOf(settle('drop', [curve]))).toEqual({ from: 8, to: 8 });
    const flat = testPush('flat', {
      curve: [
        [0, 0.8],
        [8, 1],
        [16, 0.8],
      ] as const,
    });
    expect(bandOf(settle('drop', [flat]))).toEqual({ from: 4, to: 12 });
  });

  it('where pulls are at odds it says how far one may go for almost the same, and no further than either asks', () => {
    const torn = [testPush('low', band(0, 6)), testPush('high', band(8, 14))];
    expect(bandOf(settle('drop', torn))).toEqual({ from: 6, to: 8 });
    // 8 × 3 % may be lost: 4 × ((6 − x) ÷ 8)² on either side of the middle.
    const far = bandOf(settle('drop', [testPush('low', band(0, 2)), testPush('high', band(10, 14))]));
    expect(far.from).toBeGreaterThanOrEqual(2);
    expect(far.to).toBeLessThanOrEqual(10);
    expect((far.from + far.to) / 2).toBe(6);
  });

  it('a wish of less than half the heaviest chooses and does not narrow; a tie-break never does', () => {
    const strong = testPush('strong', band(6, 14));
    const slight = testPush('slight', band(12, 13), { weight: 1 });
    const settled = settle('drop', [strong, slight]);
    expect(bandOf(settled)).toEqual({ from: 6, to: 14 });
    expect(settled.best).toBe(12);
    expect(bandOf(settle('drop', [testPush('tie', band(10, 10), { weight: 0.25 })]))).toEqual({
      from: 0,
      to: FEATURES.drop.bounds[1],
    });
  });

  it('what going beyond an end costs is named: the limit, or who loses most; nothing at the end of the scale', () => {
    const settled = settle('drop', [
      limit('at most 14', 0, 14),
      testPush('cord', band(10, 14)),
      testPush('knee', band(0, 10), { weight: 2 }),
    ]);
    const { numbers } = settled.values;
    expect(costAt(settled, numbers.indexOf(9.5))).toMatchObject({ rule: 'cord', limit: false });
    expect(costAt(settled, numbers.indexOf(14.5))).toMatchObject({ rule: 'at most 14', limit: true });
    expect(costAt(settled, -1)).toBeNull();
  });

  it('a limit cuts the band, and outside it nothing is acceptable', () => {
    const settled = settle('drop', [testPush('ten', band(10, 10)), limit('at most 9', 0, 9)]);
    expect(settled.best).toBe(9);
    expect(bandOf(settled)).toMatchObject({ to: 9 });
    expect(settled.firmness).toBe(1);
  });

  it('two strong rules are fully firm, one is half, more are no firmer', () => {
    const firmness = (count: number) =>
      settle(
        'drop',
        Array.from({ length: count }, (_, index) => testPush(`r${index}`, band(8, 8))),
      ).firmness;
    expect([1, 2, 3].map(firmness)).toEqual([0.5, 1, 1]);
  });

  it('limits that contradict each other exclude nothing: the deadlock says so instead', () => {
    const pushes = [limit('low', 0, 4), limit('high', 10, 25), testPush('ten', band(12, 12))];
    const settled = settle('drop', pushes);
    expect(settled.contradicting).toBe(true);
    expect(settled.best).toBe(12);
    const { target, deadlock } = resolveFeature({ feature: 'drop' }, pushes, { explained: false })!;
    expect(deadlock!.sets).toEqual([['low', 'high']]);
    expect(target).toMatchObject({ limit: null });
  });
});

describe('what each push did', () => {
  it('says where the target would be without it', () => {
    const pushes = [testPush('low', band(4, 4)), testPush('high', band(10, 10))];
    const each = withoutEach(settle('drop', pushes), pushes);
    expect(each.map(({ rule, without }) => [rule, without])).toEqual([
      ['low', 10],
      ['high', 4],
    ]);
  });

  it('without a limit the others still hold; what was set aside moves nothing', () => {
    const pushes = [
      testPush('high', band(14, 14)),
      limit('at most 9', 0, 9),
      limit('at most 12', 0, 12),
      testPush('aside', band(0, 0), { setAside: 'not for her' }),
    ];
    const settled = settle('drop', pushes);
    expect(settled.best).toBe(9);
    expect(withoutEach(settled, pushes).map(({ without }) => without)).toEqual([8, 12, 9, 9]);
  });

  it('tension is how far each sits from what it wants, in shares of its reach, by weight', () => {
    const low = testPush('low', band(4, 4));
    expect(tensionOf(settle('drop', [low]))).toBe(0);
    expect(tensionOf(settle('drop', []))).toBe(0);
    // At 7 mm both are 3 mm off a reach of 8.
    expect(tensionOf(settle('drop', [low, testPush('high', band(10, 10))]))).toBeCloseTo(3 / 8, 9);
    // Three times the weight for the high one: it rests at 8.5 mm, 4.5 and 1.5 mm away.
    const heavy = settle('drop', [low, testPush('high', band(10, 10), { weight: 12 })]);
    expect(heavy.best).toBe(8.5);
    expect(tensionOf(heavy)).toBeCloseTo((4 * (4.5 / 8) + 12 * (1.5 / 8)) / 16, 9);
  });
});

describe('a target', () => {
  it('carries what its limits leave, its utility, and every push that spoke', () => {
    const target = at('drop', testPush('ten', band(10, 10)), limit('4 to 9', 4, 9));
    expect(target).toMatchObject({ kind: 'band', best: 9, limit: { from: 4, to: 9 } });
    expect(target.utility).toBeCloseTo(1 - (1 / 8) ** 2, 9);
    expect(target.pushes.map(({ rule }) => rule)).toEqual(['ten', '4 to 9']);
    expect(at('drop', limit('4 to 9', 4, 9)).utility).toBe(1);
    expect(at('drop', testPush('ten', band(10, 10)))).toMatchObject({ limit: null });
  });

  it('of a choice has the options that serve, and those that limits rule out', () => {
    const target = at(
      'closure',
      testPush('zip', { prefer: ['zip', 'dial'] }),
      testPush('no dial', { avoid: ['dial'] }, { strength: 'limit' }),
    );
    expect(target).toMatchObject({ kind: 'options', best: 'zip', options: ['zip'], excluded: ['dial'] });
    const free = at('closure', testPush('zip', { prefer: ['zip'] }));
    expect(free).toMatchObject({ excluded: [] });
  });

  it('where nothing pulls apart no other resolution is looked for', () => {
    const calm = at(
      'closure',
      testPush('zip', { prefer: ['zip'] }),
      testPush('dial', { prefer: ['dial', 'zip'] }),
    );
    expect(calm.tension).toBe(0);
    expect(calm.alternatives).toEqual([]);
  });

  it('is nothing where neither a rule nor a decision speaks', () => {
    expect(resolveFeature({ feature: 'drop' }, [], { explained: true })).toBeNull();
  });
});
