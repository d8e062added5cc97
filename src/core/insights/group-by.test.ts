import { describe, expect, it } from 'vitest';
import { type GroupedPair, groupingOf } from './group-by';

const pair = (part: Partial<GroupedPair> = {}): GroupedPair => ({
  maker: 'Testmaker',
  name: 'One',
  features: {},
  school: null,
  choices: null,
  spoke: null,
  overruled: null,
  ...part,
});
const drops = [0, 2, 4, 6, 8, 10, 12, 12, 14].map((drop) => pair({ features: { drop } }));

describe('pairs are counted among', () => {
  it('thirds of what they have of a number, so that no third is empty', () => {
    const groups = drops.map((one) => groupingOf('feature', 'drop', drops)(one)[0]!);
    expect(new Set(groups).size).toBe(3);
    for (const name of new Set(groups))
      expect(groups.filter((group) => group === name).length).toBeGreaterThanOrEqual(2);
    expect(groups[0]).toMatch(/up to/);
    expect(groupingOf('feature', 'drop', drops)(pair())).toEqual(['not known']);
    expect(groupingOf('feature', 'drop', [pair()])(pair())).toEqual(['not known']);
  });
  it('the options of a choice, in words', () =>
    expect(groupingOf('feature', 'closure', [])(pair({ features: { closure: 'laces' } }))[0]).not.toBe(
      'not known',
    ));
  it('what was decided otherwise, each once; else that nothing was', () => {
    const of = groupingOf('decision', 'drop', []);
    expect(of(pair())).toEqual(['not known']);
    expect(of(pair({ choices: {} }))).toEqual(['as the rules said']);
    const decided = of(
      pair({
        choices: {
          setAside: [
            { rule: 'a-rule', feature: 'drop', reason: 'as agreed' },
            { rule: 'a-rule', feature: 'heelStack', reason: 'as agreed' },
          ],
          decisions: [{ feature: 'drop', kind: 'overrule', band: { from: 2, to: 4 }, reason: 'as agreed' }],
        },
      }),
    );
    expect(decided[0]).toBe('set aside: a-rule');
    expect(decided).toHaveLength(2);
    expect(decided[1]).toMatch(/^overruled: /);
  });
  it('maker, model, use and school', () => {
    const one = pair({ features: { use: 'trail' }, school: 'balanced' });
    expect(groupingOf('maker', 'drop', [])(one)).toEqual(['Testmaker']);
    expect(groupingOf('model', 'drop', [])(one)).toEqual(['Testmaker One']);
    expect(groupingOf('use', 'drop', [])(one)[0]).toMatch(/trail/i);
    expect(groupingOf('school', 'drop', [])(one)[0]).not.toBe('not known');
  });

  it('rules that spoke and were followed, never those that were overruled', () => {
    const of = groupingOf('rule', 'drop', []);
    expect(of(pair())).toEqual(['not known']);
    expect(of(pair({ spoke: ['a', 'b'], overruled: ['b'] }))).toEqual(['a']);
    expect(of(pair({ spoke: [], overruled: [] }))).toEqual([]);
  });
});
