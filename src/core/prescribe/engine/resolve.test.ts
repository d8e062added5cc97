import { generatedFindings } from '@tests/fixtures/generated-findings';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { clinicalPicture } from '../../examination/clinical-picture';
import { deriveFindings } from '../../examination/derive';
import { FINDING_IDS } from '../../findings/findings';
import {
  type ClinicalPicture,
  enteredPicture,
  type Findings,
  findingAt,
  NOT_EXAMINED,
  withoutFinding,
} from '../../findings/picture';
import { RULES } from '../../knowledge/knowledge-base';
import type { Rule } from '../../knowledge/rule';
import type { FeatureId } from '../../shoe/features';
import { directionOf, firmnessWord, targetInWords } from '../explain/in-words';
import { BUILT_IN, resolve } from './resolve';
import { shoeValues } from './shoe-values';
import type { ChoiceTarget, NumericTarget, Specification } from './specification';

const numeric = (specification: Specification, feature: FeatureId): NumericTarget => {
  const target = specification.targets.find((entry) => entry.feature === feature);
  if (target?.kind !== 'band') throw new Error(`${feature} has no band`);
  return target;
};
const options = (specification: Specification, feature: FeatureId): ChoiceTarget => {
  const target = specification.targets.find((entry) => entry.feature === feature);
  if (target?.kind !== 'options') throw new Error(`${feature} has no options`);
  return target;
};
const both = (foot: Findings['left']): Findings => ({ left: foot, right: foot });

/** Handbook 04, “Check cases”, common practice. */
describe('check cases', () => {
  it('a supinator with a high arch gets no medial post, no marked arch contour and a wide base', () => {
    const specification = resolve(clinicalPicture(both({ arch: 'high', roll: 'out' })));
    expect(options(specification, 'medialSupport').options).not.toContain('post');
    expect(numeric(specification, 'archContour').band.to).toBeLessThan(3);
    expect(numeric(specification, 'heelBase').best).toBeGreaterThanOrEqual(88);
    expect(numeric(specification, 'forefootBase').best).toBeGreaterThanOrEqual(112);
  });

  it('tight calf and heel cord pain prefer a drop of 10 mm or more; knee pain lowers it and raises the tension', () => {
    const calf: Findings = { left: { pain: ['achilles-mid'], heelsLiftEarly: 'yes' } };
    const runner: Findings = { body: { activities: ['road-running'] } };
    const before = numeric(resolve(clinicalPicture(runner, calf)), 'drop');
    expect(before.best).toBeGreaterThanOrEqual(10);
    const after = numeric(
      resolve(clinicalPicture(runner, calf, { right: { pain: ['knee-front'] } })),
      'drop',
    );
    expect(after.best).toBeLessThan(before.best);
    expect(after.tension).toBeGreaterThan(before.tension);
    const knee = after.pushes.find((push) => push.rule === 'front-knee-or-hip-runner')!;
    expect(directionOf(after, knee)).toBe('down');
  });

  it('a court player outdoors: running shoes are excluded and the outsole is hard', () => {
    const specification = resolve(clinicalPicture({ body: { activities: ['court'] } }));
    expect(options(specification, 'use').excluded).toEqual(
      expect.arrayContaining(['road-running', 'racing', 'trail']),
    );
    expect(targetInWords(numeric(specification, 'outsoleHardness'))).toBe('at least hard');
  });

  it('a lifter with a 7 cm lunge gets a raised hard heel; with 13 cm and low bar, flat and firm is acceptable', () => {
    const lifter = (activity: 'lifting-upright' | 'lifting-low-bar', lungeDistance: number) =>
      resolve(clinicalPicture({ body: { activities: [activity] } }, both({ lungeDistance })));
    expect(numeric(lifter('lifting-upright', 7), 'drop').best).toBeGreaterThanOrEqual(18);
    // Half heels between, without a step; the low bar is lifted flat or in a half heel whatever the ankle.
    const heels = [7, 8, 9, 10, 11, 12, 13].map((cm) => numeric(lifter('lifting-upright', cm), 'drop').best);
    for (const [at, heel] of heels.entries())
      if (at > 0) expect(heels[at - 1]! - heel).toBeGreaterThanOrEqual(0);
    expect(Math.max(...heels.slice(1).map((heel, at) => heels[at]! - heel))).toBeLessThan(5);
    expect(numeric(lifter('lifting-low-bar', 7), 'drop').best).toBeLessThanOrEqual(14);
    const likesFlat = resolve(
      clinicalPicture({
        body: { activities: ['lifting-upright'], liftsBestIn: 'flat' },
        ...both({ lungeDistance: 7 }),
      }),
    );
    expect(numeric(likesFlat, 'drop').best).toBeLessThan(heels[0]!);
    const flat = lifter('lifting-low-bar', 13);
    expect(numeric(flat, 'drop').band).toEqual({ from: 0, to: 6 });
    expect(targetInWords(numeric(flat, 'midsoleHardness'))).toMatch(/firm/);
  });

  it('a prosthesis set for 9.5 mm wants that drop and refuses one that is much higher', () => {
    const picture = clinicalPicture({
      body: { prosthesisSide: 'left', prosthesisSetRise: 9.5, prosthesisLever: 180 },
    });
    const drop = numeric(resolve(picture), 'drop');
    expect(drop.best).toBeCloseTo(9.5, 1);
    // A zero drop takes a wedge; 5 mm too high is the most that is still left to the prosthetist.
    expect(drop.limit).toEqual({ from: 0, to: 14.5 });
    expect(drop.band).toEqual({ from: 6.5, to: 12.5 });
  });

  it('at-risk category 2 with swelling refuses slip-ons and leaves 10–20 mm in front', () => {
    const specification = resolve(
      clinicalPicture(both({ sensation: 'lost', pulses: 'absent', swelling: 'changes' })),
    );
    expect(options(specification, 'closure').excluded).toContain('slip-on');
    expect(numeric(specification, 'toeRoom').limit).toEqual({ from: 10, to: 20 });
  });
});

describe('limits and deadlocks', () => {
  const rule = (id: string, wish: Rule['wishes'][number], strength: Rule['strength'] = 'limit'): Rule => ({
    id,
    topic: 'test',
    finding: id,
    when: { finding: 'ageYears', atLeast: 0 },
    wishes: [wish],
    strength,
    schools: [],
    evidence: 'C',
    sources: [],
    because: 'for the test of limits',
  });
  const anyone = clinicalPicture({ body: { ageYears: 40 } });

  it('names exactly the limits that cannot both hold, and one set aside with a reason frees the rest', () => {
    const rules = [
      rule('low', { feature: 'drop', atMost: 9 }),
      rule('high', { feature: 'drop', atLeast: 12 }),
      rule('bystander', { feature: 'drop', atMost: 20 }),
    ];
    const stuck = resolve(anyone, { knowledge: { edition: 'test', rules } });
    expect(stuck.deadlocks).toHaveLength(1);
    expect(stuck.deadlocks[0]!.rules.toSorted()).toEqual(['high', 'low']);
    const freed = resolve(anyone, {
      knowledge: { edition: 'test', rules },
      setAside: [{ rule: 'high', feature: 'drop', reason: 'lift goes inside' }],
    });
    expect(freed.deadlocks).toEqual([]);
    expect(numeric(freed, 'drop').limit).toEqual({ from: 0, to: 9 });
    expect(numeric(freed, 'drop').pushes.find((push) => push.rule === 'high')?.setAside).toBe(
      'lift goes inside',
    );
  });

  it('three options lists that only pairwise overlap are a deadlock of three', () => {
    const rules = [
      rule('a', { feature: 'closure', prefer: ['laces', 'dial'] }),
      rule('b', { feature: 'closure', prefer: ['dial', 'zip'] }),
      rule('c', { feature: 'closure', prefer: ['zip', 'laces'] }),
    ];
    expect(resolve(anyone, { knowledge: { edition: 'test', rules } }).deadlocks[0]!.rules).toHaveLength(3);
  });

  it('tighter limits never raise utility', () => {
    const edge = fc.integer({ min: 0, max: 25 });
    fc.assert(
      fc.property(edge, edge, edge, edge, (wishFrom, wishTo, loose, tighten) => {
        const wish = rule(
          'wish',
          { feature: 'drop', atLeast: Math.min(wishFrom, wishTo), atMost: Math.max(wishFrom, wishTo) },
          'strong',
        );
        const utility = (most: number) =>
          numeric(
            resolve(anyone, {
              knowledge: { edition: 'test', rules: [wish, rule('limit', { feature: 'drop', atMost: most })] },
            }),
            'drop',
          ).utility;
        expect(utility(Math.max(0, loose - tighten))).toBeLessThanOrEqual(utility(loose) + 1e-12);
      }),
    );
  });
});

describe('what holds for every picture', () => {
  it('replays to the same bytes', () => {
    fc.assert(
      fc.property(generatedFindings, (findings) => {
        const once = JSON.stringify(resolve(clinicalPicture(findings)));
        const again = JSON.stringify(resolve(clinicalPicture(JSON.parse(JSON.stringify(findings)))));
        expect(again).toBe(once);
      }),
      { numRuns: 60 },
    );
  });

  it('does not depend on the order of the rules', () => {
    fc.assert(
      fc.property(
        generatedFindings,
        fc.shuffledSubarray([...RULES], { minLength: RULES.length }),
        (findings, rules) => {
          const picture = clinicalPicture(findings);
          expect(JSON.stringify(resolve(picture, { knowledge: { ...BUILT_IN, rules } }))).toBe(
            JSON.stringify(resolve(picture)),
          );
        },
      ),
      { numRuns: 40 },
    );
  });

  it('the same findings on the other foot ask for the same shoe', () => {
    fc.assert(
      fc.property(generatedFindings, ({ body, left, right }) => {
        const mirrored = resolve(clinicalPicture({ body, left: right, right: left }));
        const plain = resolve(clinicalPicture({ body, left, right }));
        expect(mirrored.targets.map(targetInWords)).toEqual(plain.targets.map(targetInWords));
        expect(mirrored.feet.left.map(targetInWords)).toEqual(plain.feet.right.map(targetInWords));
        expect(mirrored.feet.right.map(targetInWords)).toEqual(plain.feet.left.map(targetInWords));
      }),
      { numRuns: 40 },
    );
  });

  it('keeps every best value inside its band and its limits', () => {
    fc.assert(
      fc.property(generatedFindings, (findings) => {
        for (const target of resolve(clinicalPicture(findings)).targets) {
          expect(target.tension).toBeGreaterThanOrEqual(0);
          expect(target.tension).toBeLessThanOrEqual(1);
          if (target.kind === 'options') expect(target.options).toContain(target.best);
          else {
            expect(target.best).toBeGreaterThanOrEqual(target.band.from);
            expect(target.best).toBeLessThanOrEqual(target.band.to);
            if (target.limit) expect(target.band.to).toBeLessThanOrEqual(target.limit.to);
          }
        }
      }),
      { numRuns: 60 },
    );
  });
});

describe('what not knowing does', () => {
  /** A picture in which some findings are as if nobody had taken them. */
  const forgotten = fc.tuple(generatedFindings, fc.subarray(FINDING_IDS)).map(([findings, ids]) => {
    const full = enteredPicture(findings);
    return { full: deriveFindings(full), less: deriveFindings(ids.reduce(withoutFinding, full)) };
  });

  it('never narrows: what is not known pushes nothing that was not pushed, and no limit gets tighter', () => {
    fc.assert(
      fc.property(forgotten, ({ full, less }) => {
        fc.pre(!derivesOther(less, full));
        const known = resolve(full);
        for (const target of resolve(less).targets) {
          const before = known.targets.find((entry) => entry.feature === target.feature);
          const rules = new Set(before?.pushes.map((push) => push.rule));
          for (const push of target.pushes) expect(rules, target.feature).toContain(push.rule);
          if (target.kind === 'options' && before?.kind === 'options')
            expect(before.excluded).toEqual(expect.arrayContaining(target.excluded));
          if (target.kind === 'band' && before?.kind === 'band' && target.limit && before.limit) {
            expect(target.limit.from).toBeLessThanOrEqual(before.limit.from);
            expect(target.limit.to).toBeGreaterThanOrEqual(before.limit.to);
          }
        }
      }),
      { numRuns: 30 },
    );
  });

  /** Whether leaving findings out made another value follow: then it is another picture, not a poorer one. */
  const derivesOther = (less: ClinicalPicture, full: ClinicalPicture): boolean => {
    return FINDING_IDS.some((id) =>
      (['left', 'right'] as const).some((side) => {
        const value = findingAt(less, id, side);
        return value !== NOT_EXAMINED && JSON.stringify(value) !== JSON.stringify(findingAt(full, id, side));
      }),
    );
  };

  it('a rule that does not push can be removed and nothing changes', () => {
    fc.assert(
      fc.property(generatedFindings, fc.integer({ min: 0, max: RULES.length - 1 }), (findings, from) => {
        const picture = clinicalPicture(findings);
        const specification = resolve(picture);
        const pushing = new Set(
          [...specification.targets, ...specification.feet.left, ...specification.feet.right].flatMap(
            (target) => target.pushes.map((push) => push.rule),
          ),
        );
        const silent = [...RULES.slice(from), ...RULES.slice(0, from)].find((rule) => !pushing.has(rule.id))!;
        const rest = resolve(picture, {
          knowledge: { ...BUILT_IN, rules: RULES.filter((rule) => rule !== silent) },
        });
        expect(JSON.stringify([rest.targets, rest.feet, rest.deadlocks])).toBe(
          JSON.stringify([specification.targets, specification.feet, specification.deadlocks]),
        );
      }),
      { numRuns: 40 },
    );
  });
});

describe('unknown is never normal', () => {
  it('an empty picture asks for nothing and says what to find out', () => {
    const specification = resolve(clinicalPicture());
    expect(specification.targets).toEqual([]);
    expect(specification.open.length).toBeGreaterThan(10);
    expect(specification.open[0]!.weight).toBeGreaterThanOrEqual(specification.open[1]!.weight);
  });

  it('a half-known rule waits: low and rigid needs both', () => {
    const specification = resolve(clinicalPicture(both({ arch: 'low' })));
    expect(specification.targets.some((target) => target.feature === 'archContour')).toBe(false);
    expect(specification.open.find((question) => question.finding === 'archMobility')?.rules).toContain(
      'low-arch-rigid',
    );
  });

  it('a finding that settles nothing is not asked for', () => {
    const specification = resolve(clinicalPicture(both({ arch: 'medium', pain: [] })));
    expect(specification.open.find((question) => question.finding === 'archMobility')).toBeUndefined();
  });
});

describe('schools and words', () => {
  it('shape-led asks a flexible low arch for medial support, comfort-led does not', () => {
    const picture = clinicalPicture(both({ arch: 'low', archMobility: 'flexible', roll: 'in' }));
    expect(options(resolve(picture, { school: 'shape' }), 'medialSupport').options).toEqual(['rail', 'post']);
    expect(
      resolve(picture, { school: 'comfort' }).targets.some((target) => target.feature === 'medialSupport'),
    ).toBe(false);
    const balanced = options(resolve(picture), 'medialSupport');
    expect(firmnessWord(balanced)).toBe('slight');
  });

  it('draws a whole shoe: what is wanted, and a usual shoe elsewhere', () => {
    const values = shoeValues(resolve(clinicalPicture({ left: { pain: ['achilles-mid'] } })));
    expect(values.drop).toBe(10);
    expect(Number(values.heelStack) - Number(values.forefootStack)).toBe(10);
    expect(values.closure).toBe('laces');
  });
});
