import { testShoe } from '@tests/fixtures/invented-shoe';
import { describe, expect, it } from 'vitest';
import { clinicalPicture } from '../../examination/clinical-picture';
import type { Findings } from '../../findings/picture';
import type { Rule, Wish } from '../../knowledge/rule';
import { rank } from '../../match/rank';
import type { FeatureId } from '../../shoe/features';
import { compareSchools } from '../explain/compare-schools';
import { firmnessWord } from '../explain/in-words';
import { oneSidedWishes } from '../explain/left-and-right';
import { minimalContradictions } from './limits';
import { resolve } from './resolve';
import { decisionSchema } from './schema';
import type { Decision, Specification } from './specification';

const rule = (id: string, wish: Wish, strength: Rule['strength'] = 'strong'): Rule => ({
  id,
  topic: 'test',
  finding: id,
  when: { finding: 'ageYears', atLeast: 0 },
  wishes: [wish],
  strength,
  schools: [],
  evidence: 'C',
  sources: ['practice'],
  because: 'for the test of decisions',
});
const anyone = clinicalPicture({ body: { ageYears: 40 } });
const with_ = (rules: Rule[], decisions: Decision[] = []) =>
  resolve(anyone, { knowledge: { edition: 'test', rules }, decisions });
const target = (specification: Specification, feature: FeatureId) =>
  specification.targets.find((entry) => entry.feature === feature)!;
const drop = (specification: Specification) =>
  target(specification, 'drop') as { best: number; band: object };

describe('a clinician’s word', () => {
  const rules = [rule('high', { feature: 'drop', atLeast: 10, atMost: 14 })];

  it('overrules a target, which keeps showing what the rules said', () => {
    const overruled = with_(rules, [
      { feature: 'drop', kind: 'overrule', band: { from: 4, to: 6 }, reason: 'calf trains downward' },
    ]);
    expect(drop(overruled)).toMatchObject({ best: 6, band: { from: 4, to: 6 } });
    expect(target(overruled, 'drop').decision).toEqual({
      kind: 'overrule',
      reason: 'calf trains downward',
      ruled: { best: drop(with_(rules)).best, band: drop(with_(rules)).band },
    });
    expect(target(overruled, 'drop').pushes.map((push) => push.rule)).toEqual(['high']);
    expect(firmnessWord(target(overruled, 'drop'))).toBe('overruled');
  });

  it('pins a target: what is found later no longer moves it', () => {
    const pin: Decision = { feature: 'drop', kind: 'pin', band: { from: 12, to: 12 }, reason: 'as agreed' };
    const later = [
      ...rules,
      rule('low', { feature: 'drop', atMost: 4 }),
      rule('lower', { feature: 'drop', atMost: 3 }),
    ];
    expect(drop(with_(later)).best).toBeLessThan(10);
    expect(drop(with_(later, [pin])).best).toBe(12);
  });

  it('loosens a target: a wide band that hardly counts when shoes are ranked', () => {
    const loose = with_(rules, [
      { feature: 'drop', kind: 'loosen', band: { from: 0, to: 25 }, reason: 'comfort decides' },
    ]);
    expect(drop(loose)).toMatchObject({ best: 10, band: { from: 0, to: 25 } });
    const models = [testShoe('flat', { drop: 0 }), testShoe('high', { drop: 12 })];
    const score = (of: Specification) => rank(models, of).ranked.find((entry) => entry.id === 'flat')!.score;
    expect(score(loose)).toBe(1);
    // One strong wish counts against the weight of two: missed by its whole reach it costs half.
    expect(score(with_(rules))).toBe(0.5);
    expect(
      score(
        with_(rules, [
          { feature: 'drop', kind: 'overrule', band: { from: 0, to: 3 }, reason: 'flat on purpose' },
        ]),
      ),
    ).toBe(1);
  });

  it('cannot go past a limit, and says to set the limit aside first', () => {
    const limited = [rule('limit', { feature: 'drop', atLeast: 8 }, 'limit')];
    const refused = with_(limited, [
      { feature: 'drop', kind: 'overrule', band: { from: 0, to: 4 }, reason: 'flat' },
    ]);
    expect(target(refused, 'drop').decision?.refused).toMatch(/limit excludes .*0.* to 4.*set it aside/i);
    expect(drop(refused).best).toBeGreaterThanOrEqual(8);
    const options = with_(
      [rule('limit', { feature: 'closure', avoid: ['slip-on'] }, 'limit')],
      [{ feature: 'closure', kind: 'pin', options: ['slip-on'], reason: 'asks for it' }],
    );
    expect(target(options, 'closure').decision?.refused).toMatch(/excludes slip-on/);
  });

  it('makes a target where no rule asks for one', () => {
    const alone = with_([], [{ feature: 'closure', kind: 'pin', options: ['dial'], reason: 'one hand' }]);
    expect(target(alone, 'closure')).toMatchObject({ best: 'dial', options: ['dial'], pushes: [] });
    expect(target(alone, 'closure').decision?.ruled).toBeNull();
  });

  it.each<[string, unknown, RegExp]>([
    ['no reason', { feature: 'drop', kind: 'pin', band: { from: 4, to: 4 }, reason: '' }, /reason/],
    [
      'a band the wrong way round',
      { feature: 'drop', kind: 'loosen', band: { from: 9, to: 4 }, reason: 'why not' },
      /before it begins/,
    ],
    [
      'a band outside the scale',
      { feature: 'drop', kind: 'loosen', band: { from: 0, to: 190 }, reason: 'why not' },
      /between 0 and 100/,
    ],
    [
      'an option that does not exist',
      { feature: 'closure', kind: 'pin', options: ['velour'], reason: 'why not' },
      /velour/,
    ],
    [
      'a foot for what both share',
      { feature: 'drop', side: 'left', kind: 'pin', band: { from: 4, to: 4 }, reason: 'why not' },
      /alike/,
    ],
    [
      'no foot for what each has',
      { feature: 'heelLift', kind: 'pin', band: { from: 4, to: 4 }, reason: 'why not' },
      /which foot/,
    ],
  ])('with %s is refused at its field', (_, decision, message) => {
    const parsed = decisionSchema.safeParse(decision);
    expect(parsed.error?.issues.map((issue) => issue.message).join(' ')).toMatch(message);
  });
});

describe('alternatives', () => {
  it('a true second peak: two wishes too far apart to meet, each with its cost', () => {
    const torn = with_([
      rule('raised', { feature: 'drop', atLeast: 20, atMost: 22, reach: 5 }),
      rule('spared', { feature: 'drop', atLeast: 2, atMost: 8, reach: 5 }, 'moderate'),
    ]);
    const height = target(torn, 'drop');
    const [other] = height.alternatives;
    expect(other?.peak).toBe(true);
    expect(Math.abs(Number(other!.value) - Number(height.best))).toBeGreaterThan(6);
    expect(other!.utility).toBeLessThanOrEqual(height.utility);
    expect(other!.costs.map(({ rule }) => rule)).toEqual(['raised']);
    expect(other!.serves).toEqual(['spared']);
  });

  it('one peak between two wishes: lower for the knee, higher for the cord, and what each costs the other', () => {
    const torn = with_([
      rule('cord', { feature: 'drop', atLeast: 12, atMost: 14 }),
      rule('knee', { feature: 'drop', atLeast: 2, atMost: 6 }, 'moderate'),
    ]);
    const { alternatives, best } = target(torn, 'drop');
    expect(alternatives.map((entry) => Number(entry.value)).toSorted((a, b) => a - b)).toEqual([6, 12]);
    for (const { value, costs, serves } of alternatives) {
      expect(Number(value) > Number(best) ? serves : costs.map((cost) => cost.rule)).toContain('cord');
      expect(Number(value) < Number(best) ? serves : costs.map((cost) => cost.rule)).toContain('knee');
    }
  });

  it('wishes that agree leave none', () => {
    expect(
      target(
        with_([rule('a', { feature: 'drop', atLeast: 8 }), rule('b', { feature: 'drop', atLeast: 9 })]),
        'drop',
      ).alternatives,
    ).toEqual([]);
  });
});

describe('deadlocks', () => {
  const limit = (id: string, wish: Wish) => rule(id, wish, 'limit');

  it('every smallest set is named, not only one', () => {
    const [deadlock] = with_([
      limit('low', { feature: 'drop', atMost: 6 }),
      limit('lower', { feature: 'drop', atMost: 4 }),
      limit('high', { feature: 'drop', atLeast: 10 }),
    ]).deadlocks;
    expect(deadlock!.sets.map((set) => set.toSorted())).toEqual([
      ['high', 'low'],
      ['high', 'lower'],
    ]);
  });

  it('equals brute force over all subsets', () => {
    // Sets of allowed days; contradictions found by hand: {a, b}, {b, c} and nothing larger that is minimal.
    const allowed: Record<string, number[]> = { a: [1, 2], b: [3], c: [1, 4], d: [1, 2, 3, 4] };
    const holds = (subset: readonly string[]) =>
      [1, 2, 3, 4].some((day) => subset.every((id) => allowed[id]!.includes(day)));
    expect(minimalContradictions(Object.keys(allowed), holds)).toEqual([
      ['a', 'b'],
      ['b', 'c'],
    ]);
    expect(minimalContradictions(['a', 'c', 'd'], holds)).toEqual([]);
  });

  it('heights that each leave room can be impossible together: drop is heel less forefoot', () => {
    const { deadlocks } = with_([
      limit('drop', { feature: 'drop', atLeast: 20 }),
      limit('thin heel', { feature: 'heelStack', atMost: 26 }),
      limit('thick front', { feature: 'forefootStack', atLeast: 10 }),
    ]);
    expect(deadlocks).toHaveLength(1);
    expect(deadlocks[0]!.rules.toSorted()).toEqual(['drop', 'thick front', 'thin heel']);
    expect(
      with_([
        limit('drop', { feature: 'drop', atLeast: 20 }),
        limit('heel', { feature: 'heelStack', atMost: 30 }),
      ]).deadlocks,
    ).toEqual([]);
  });
});

describe('left and right', () => {
  const prosthesis: Findings = {
    body: { prosthesisSide: 'left', prosthesisSetRise: 9.5, activities: ['walking'] },
    right: { pain: ['achilles-mid'] },
  };

  it('heel heights match; the lift goes inside on the side that wants it', () => {
    const specification = resolve(clinicalPicture(prosthesis));
    // Within a millimetre: the sore heel cord of the other side pulls a little.
    expect(Math.abs(Number(target(specification, 'drop').best) - 9.5)).toBeLessThanOrEqual(1);
    expect(specification.feet.right.map((entry) => entry.feature)).toContain('heelLift');
    expect(specification.feet.left.map((entry) => entry.feature)).not.toContain('heelLift');
  });

  it('a wish of one foot that the pair leaves unserved is named with its remedy', () => {
    const wishes = oneSidedWishes(
      with_([
        {
          ...rule('left only', { feature: 'drop', atLeast: 14 }, 'slight'),
          when: { finding: 'arch', is: 'high' },
        },
        rule('both', { feature: 'drop', atMost: 6 }),
      ]),
    );
    expect(wishes).toEqual([]);
    const one = resolve(
      clinicalPicture({ body: { ageYears: 40 }, left: { arch: 'high' }, right: { arch: 'low' } }),
      {
        knowledge: {
          edition: 'test',
          rules: [
            {
              ...rule('left only', { feature: 'drop', atLeast: 14 }, 'slight'),
              when: { finding: 'arch', is: 'high' },
            },
            rule('both', { feature: 'drop', atMost: 6 }),
          ],
        },
      },
    );
    expect(oneSidedWishes(one)).toMatchObject([
      { feature: 'drop', side: 'left', remedy: expect.stringContaining('lift inside') },
    ]);
  });
});

describe('schools side by side', () => {
  it('lights what they disagree on and not what they share', () => {
    const { schools, rows } = compareSchools(
      clinicalPicture({
        left: { arch: 'low', archMobility: 'flexible', roll: 'in', pain: [], sensation: 'lost' },
        right: { pain: [] },
      }),
    );
    expect(schools).toEqual(['balanced', 'comfort', 'load', 'shape']);
    const row = (feature: FeatureId) => rows.find((entry) => entry.feature === feature)!;
    expect(row('medialSupport').differs).toBe(true);
    expect(row('closure').differs).toBe(false);
  });
});
