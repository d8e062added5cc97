import { describe, expect, it } from 'vitest';
import { clinicalPicture } from '../../examination/clinical-picture';
import type { Findings } from '../../findings/picture';
import type { Rule } from '../../knowledge/rule';
import { FEATURES } from '../../shoe/features';
import { gather } from './gather';

const rule = (id: string, part: Partial<Rule> = {}): Rule => ({
  id,
  topic: 'test',
  finding: id,
  when: { finding: 'ageYears', atLeast: 0 },
  wishes: [{ feature: 'drop', atLeast: 10 }],
  strength: 'strong',
  schools: [],
  evidence: 'C',
  sources: ['practice'],
  because: 'for the test of gathering',
  ...part,
});
const gathered = (
  findings: Findings,
  rules: Rule[],
  ...rest: Partial<[Parameters<typeof gather>[2], Parameters<typeof gather>[3]]>
) => gather(clinicalPicture(findings), rules, rest[0] ?? 'balanced', rest[1] ?? []);
const adult: Findings = { body: { ageYears: 40 } };
const onDrop = (...of: Parameters<typeof gathered>) => gathered(...of).pushes.get('drop') ?? [];

describe('what rules push', () => {
  it('strengths double from slight to strong; a limit excludes and weighs nothing', () => {
    const weights = (['slight', 'moderate', 'strong', 'limit'] as const).map(
      (strength) => onDrop(adult, [rule(strength, { strength })])[0]!.weight,
    );
    expect(weights).toEqual([1, 2, 4, 0]);
  });

  it('a wish of its own strength does not take the rule’s', () => {
    const { pushes } = gathered(adult, [
      rule('two', {
        wishes: [
          { feature: 'drop', atLeast: 10, strength: 'slight' },
          { feature: 'closure', prefer: ['zip'] },
        ],
      }),
    ]);
    expect(pushes.get('drop')![0]).toMatchObject({ strength: 'slight', weight: 1 });
    expect(pushes.get('closure')![0]).toMatchObject({ strength: 'strong', weight: 4 });
  });

  it('a school that gives a camp nothing does not ask it; a quarter share weighs a quarter', () => {
    const shape = rule('shape', { schools: ['shape'] });
    expect(onDrop(adult, [shape], 'comfort')).toEqual([]);
    expect(onDrop(adult, [shape], 'balanced')[0]!.weight).toBe(1);
    expect(onDrop(adult, [shape], 'shape')[0]!.weight).toBe(4);
  });

  it('an open end reaches the end of the scale; what lies wholly beyond stays beyond', () => {
    const [, top] = FEATURES.drop.bounds;
    expect(onDrop(adult, [rule('open')])[0]!.want).toEqual({ band: { from: 10, to: top }, reach: 8 });
    const beyond = rule('beyond', { wishes: [{ feature: 'drop', atLeast: -3, atMost: 900, reach: 2 }] });
    expect(onDrop(adult, [beyond])[0]!.want).toEqual({ band: { from: 0, to: top }, reach: 2 });
    const far = rule('far', { wishes: [{ feature: 'drop', atLeast: top + 15 }] });
    expect(onDrop(adult, [far])[0]!.want).toMatchObject({ band: { from: top + 15, to: top + 15 } });
  });

  it('an amount taken from a finding follows the longer foot, with what is added; without it nothing is pushed', () => {
    const wide = rule('as wide as the ball', {
      wishes: [{ feature: 'forefootBase', atLeast: { finding: 'ballWidth', plus: 4 } }],
    });
    const feet: Findings = { ...adult, left: { ballWidth: 98 }, right: { ballWidth: 101 } };
    expect(gathered(feet, [wide]).pushes.get('forefootBase')![0]!.want).toMatchObject({
      band: { from: 105 },
    });
    expect(gathered(adult, [wide]).pushes.get('forefootBase')).toBeUndefined();
    expect(
      gathered({ ...adult, right: { ballWidth: 90 } }, [wide]).pushes.get('forefootBase')![0]!.want,
    ).toMatchObject({ band: { from: 94 } });
  });

  it('a foot’s rule pushes for that foot, the body’s for both', () => {
    const foot = rule('high arch', { when: { finding: 'arch', is: 'high' } });
    const findings: Findings = { ...adult, left: { arch: 'high' }, right: { arch: 'low' } };
    expect(onDrop(findings, [foot])[0]!.sides).toEqual(['left']);
    expect(onDrop(findings, [rule('adult')])[0]!.sides).toEqual(['left', 'right']);
  });

  it('what was set aside stays in sight with its reason, on that feature only', () => {
    const { pushes } = gathered(
      adult,
      [
        rule('two', {
          wishes: [
            { feature: 'drop', atLeast: 10 },
            { feature: 'closure', prefer: ['zip'] },
          ],
        }),
      ],
      'balanced',
      [{ rule: 'two', feature: 'drop', reason: 'wears an insert' }],
    );
    expect(pushes.get('drop')![0]).toMatchObject({ setAside: 'wears an insert', weight: 4 });
    expect(pushes.get('closure')![0]).not.toHaveProperty('setAside');
  });

  it('cautions are said once each, and only of rules that speak', () => {
    const { cautions } = gathered(adult, [
      rule('a', { caution: 'Build up slowly.' }),
      rule('b', { caution: 'Build up slowly.' }),
      rule('c', { caution: 'Ask about falls.' }),
      rule('d', { caution: 'Never said.', when: { finding: 'ageYears', above: 40 } }),
    ]);
    expect(cautions).toEqual(['Ask about falls.', 'Build up slowly.']);
  });

  it('the order in which rules are written changes nothing', () => {
    const rules = [rule('b'), rule('a'), rule('c', { strength: 'limit' })];
    expect(gathered(adult, rules)).toEqual(gathered(adult, [...rules].reverse()));
  });
});

describe('what nobody has examined', () => {
  it('names the finding, the feet and the rules that wait, heaviest first', () => {
    const { open } = gathered({ ...adult, left: { arch: 'high' } }, [
      rule('arch', { when: { finding: 'arch', is: 'high' }, strength: 'slight' }),
      rule('roll', { when: { finding: 'roll', is: 'out' } }),
      rule('roll too', { when: { finding: 'roll', is: 'in' }, strength: 'moderate' }),
    ]);
    expect(open).toEqual([
      {
        finding: 'roll',
        sides: ['left', 'right'],
        rules: ['roll', 'roll too'],
        weight: 6,
        lacksAmount: false,
      },
      { finding: 'arch', sides: ['right'], rules: ['arch'], weight: 1, lacksAmount: false },
    ]);
  });

  it('a rule that speaks but lacks its amount is asked for before anything that only waits', () => {
    const thick = rule('thick', {
      when: { finding: 'insert', is: 'orthosis' },
      wishes: [
        { feature: 'insoleDepth', atLeast: { finding: 'insertHeel' } },
        { feature: 'removableInsole', prefer: ['yes'] },
      ],
      strength: 'slight',
    });
    const waiting = rule('limit', { when: { finding: 'roll', is: 'out' }, strength: 'limit' });
    const worn: Findings = {
      ...adult,
      left: { insert: 'orthosis', insertHeel: 6 },
      right: { insert: 'orthosis' },
    };
    const { open, awaits, pushes } = gathered(worn, [thick, waiting]);
    expect(open.map(({ finding, lacksAmount }) => [finding, lacksAmount])).toEqual([
      ['insertHeel', true],
      ['roll', false],
    ]);
    // The side that is known pushes, the other is awaited; the rest of the rule speaks as ever.
    expect(awaits.get('insoleDepth')).toEqual([
      { rule: 'thick', amount: 'insertHeel', sides: ['right'], strength: 'slight', finding: 'thick' },
    ]);
    expect(pushes.get('insoleDepth')![0]!.want).toMatchObject({ band: { from: 6 } });
    expect(pushes.has('removableInsole')).toBe(true);
    const aside = [{ rule: 'thick', feature: 'insoleDepth' as const, reason: 'a flat one' }];
    expect(gathered(worn, [thick], 'balanced', aside).awaits.size).toBe(0);
  });

  it('an amount along a line: straight between its points, level beyond them', () => {
    const heel = rule('heel', {
      when: { finding: 'ageYears', atLeast: 0 },
      wishes: [
        {
          feature: 'drop',
          atLeast: {
            finding: 'lungeDistance',
            along: [
              [7, 20],
              [13, 0],
            ],
          },
        },
      ],
    });
    const from = (cm: number) => {
      const [push] = onDrop({ ...adult, left: { lungeDistance: cm }, right: { lungeDistance: cm } }, [heel]);
      return push && 'band' in push.want ? push.want.band.from : null;
    };
    expect([5, 7, 10, 13, 15].map(from)).toEqual([20, 20, 10, 0, 0]);
  });

  it('a rule that holds by half weighs half and has come half of its way from a usual shoe', () => {
    const half = rule('half', {
      when: { finding: 'ageYears', atLeast: 40, over: 10 },
      wishes: [{ feature: 'drop', atLeast: 12, atMost: 14 }],
    });
    const [push] = onDrop(adult, [half]);
    // Usual is 8 mm: 12 is 4 mm away, of which half; an end on the near side of usual stays.
    expect(push).toMatchObject({ weight: 2, want: { band: { from: 10, to: 14 } } });
  });

  it('an amount is read on the side on which the rule speaks, not on the other', () => {
    const thick = rule('thick', {
      when: { finding: 'insert', is: 'orthosis' },
      wishes: [{ feature: 'insoleDepth', atLeast: { finding: 'insertHeel' } }],
    });
    const left: Findings = {
      ...adult,
      left: { insert: 'orthosis', insertHeel: 4 },
      right: { insert: 'none', insertHeel: 9 },
    };
    expect(gathered(left, [thick]).pushes.get('insoleDepth')![0]!.want).toMatchObject({ band: { from: 4 } });
  });

  it('a limit that waits counts above any strong rule: it would exclude', () => {
    const { open } = gathered(adult, [
      rule('limit', { when: { finding: 'roll', is: 'out' }, strength: 'limit' }),
      rule('strong', { when: { finding: 'arch', is: 'low' } }),
    ]);
    expect(open.map(({ finding, weight }) => [finding, weight])).toEqual([
      ['roll', 8],
      ['arch', 4],
    ]);
  });

  it('of several things missing in one rule each is asked for; what something known has settled is not', () => {
    const both = rule('both', {
      when: {
        all: [
          { finding: 'arch', is: 'high' },
          { finding: 'roll', is: 'out' },
        ],
      },
    });
    expect(
      gathered(adult, [both])
        .open.map(({ finding }) => finding)
        .sort(),
    ).toEqual(['arch', 'roll']);
    const low: Findings = { ...adult, left: { arch: 'low' }, right: { arch: 'low' } };
    expect(gathered(low, [both]).open).toEqual([]);
    const either = rule('either', {
      when: {
        any: [
          { finding: 'arch', is: 'low' },
          { finding: 'roll', is: 'out' },
        ],
      },
    });
    expect(gathered(low, [either]).open).toEqual([]);
  });

  it('what the school does not ask, nobody needs to examine', () => {
    const shape = rule('shape', { schools: ['shape'], when: { finding: 'arch', is: 'high' } });
    expect(gathered(adult, [shape], 'load').open).toEqual([]);
    expect(gathered(adult, [shape], 'balanced').open[0]!.weight).toBe(1);
  });
});
