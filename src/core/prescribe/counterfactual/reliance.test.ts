import { generatedFindings } from '@tests/fixtures/generated-findings';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { clinicalPicture } from '../../examination/clinical-picture';
import { DERIVED_FROM, deriveFindings } from '../../examination/derive';
import { DERIVED_FINDINGS } from '../../findings/catalogue/derived';
import { SIDES } from '../../findings/finding-kinds';
import { FINDING_IDS } from '../../findings/findings';
import {
  enteredPicture,
  type Findings,
  findingAt,
  NOT_EXAMINED,
  withoutFinding,
} from '../../findings/picture';
import { plausibleValues } from '../../findings/priors';
import { BUILT_IN, resolve } from '../engine/resolve';
import { askNext } from './ask-next';
import { relianceOf } from './reliance';
import { Variation } from './variation';

const SHIPPED = { knowledge: BUILT_IN };
const both = (foot: Findings['left']): Findings => ({ left: foot, right: foot });

describe('what a target hangs on', () => {
  const picture = enteredPicture(
    { body: { ageYears: 72, activities: ['walking'] } },
    both({ pain: ['achilles-mid'], sensation: 'lost', arch: 'high', archMobility: 'rigid' }),
  );

  it('names the finding behind it first: the drop hangs on the heel cord, the closure on sensation', () => {
    const reliance = relianceOf(picture, SHIPPED);
    expect(reliance.drop?.[0]?.finding).toBe('pain');
    expect(reliance.closure?.[0]).toMatchObject({ finding: 'sensation', moves: 1 });
    expect(reliance.heelStack?.[0]?.finding).toBe('ageYears');
  });

  it('says where the target would be: without the heel cord nothing asks for a drop', () => {
    const felt = enteredPicture(
      { body: { ageYears: 72, activities: ['walking'] } },
      both({ pain: ['achilles-mid'], sensation: 'felt', pulses: 'present' }),
    );
    expect(relianceOf(felt, SHIPPED).drop?.[0]?.value).toBeNull();
    // On a foot that does not feel the limit of pitch stays: a usual drop is inside it.
    expect(relianceOf(picture, SHIPPED).drop?.[0]?.value).toBe(8);
  });

  it('two findings that say the same make each other dispensable', () => {
    const one = enteredPicture(both({ pain: ['achilles-mid'] }));
    const two = enteredPicture(both({ pain: ['achilles-mid'], heelsLiftEarly: 'yes' }));
    const moved = (of: typeof one) =>
      relianceOf(of, SHIPPED).drop?.find((entry) => entry.finding === 'pain')?.moves ?? 0;
    expect(moved(two)).toBeLessThan(moved(one));
  });

  it('what is asked again is exactly what a whole new resolution says', () => {
    fc.assert(
      fc.property(
        generatedFindings,
        fc.constantFrom('pain', 'arch', 'conditions', 'ageYears', 'sensation'),
        (findings, id) => {
          const full = enteredPicture(findings);
          const less = withoutFinding(full, id as 'pain');
          const before = resolve(deriveFindings(full));
          const after = resolve(deriveFindings(less));
          const shifts = new Variation(full, SHIPPED).shifts(less);
          const find = (of: typeof before, feature: string, side?: 'left' | 'right') =>
            (side ? of.feet[side] : of.targets).find((target) => target.feature === feature);
          for (const shift of shifts)
            expect(shift.value).toEqual(find(after, shift.feature, shift.side)?.best ?? null);
          // And what is not listed has not moved.
          for (const target of before.targets) {
            if (shifts.some((shift) => shift.feature === target.feature)) continue;
            expect(find(after, target.feature)?.best ?? target.best).toEqual(target.best);
          }
        },
      ),
      { numRuns: 40 },
    );
  });
});

describe('leaving a finding out', () => {
  it('changes only itself, unless others follow from it', () => {
    fc.assert(
      fc.property(generatedFindings, fc.constantFrom(...FINDING_IDS), (findings, id) => {
        fc.pre(!DERIVED_FROM.has(id) && !(id in DERIVED_FINDINGS));
        const full = enteredPicture(findings);
        const [short, long] = [deriveFindings(withoutFinding(full, id)), deriveFindings(full)];
        for (const other of FINDING_IDS)
          for (const side of SIDES)
            expect(findingAt(short, other, side)).toEqual(
              other === id ? NOT_EXAMINED : findingAt(long, other, side),
            );
      }),
      { numRuns: 80 },
    );
  });

  it('is told the same by the short way and the long', () => {
    fc.assert(
      fc.property(generatedFindings, fc.constantFrom(...FINDING_IDS), (findings, id) => {
        fc.pre(!(id in DERIVED_FINDINGS));
        const full = enteredPicture(findings);
        const variation = new Variation(full, SHIPPED);
        expect(variation.shiftsWithout(id)).toEqual(variation.shifts(withoutFinding(full, id)));
      }),
      { numRuns: 60 },
    );
  });
});

describe('what to ask next', () => {
  it('a diabetic foot: sensation comes before toe shape, and its limits are why', () => {
    const questions = askNext(
      enteredPicture({ body: { ageYears: 66, conditions: ['diabetes'], activities: ['everyday'] } }),
      SHIPPED,
    );
    const place = (id: string) => questions.findIndex((question) => question.finding === id);
    expect(place('sensation')).toBeGreaterThanOrEqual(0);
    expect(place('sensation')).toBeLessThan(place('toeShape'));
    expect(questions[place('sensation')]).toMatchObject({ step: 'feet', sides: ['left', 'right'] });
    expect(questions[place('sensation')]!.chance).toBeCloseTo(0.3, 2);
  });

  it('asks for the tests behind a category, not for the category', () => {
    const ids = askNext(enteredPicture(), SHIPPED).map((question) => question.finding);
    expect(ids).not.toContain('atRiskCategory');
    expect(ids).toContain('pulses');
    expect(ids).toContain('postureTotal');
  });

  it('ranks by expected change, and what is known is not asked for', () => {
    fc.assert(
      fc.property(generatedFindings, (findings) => {
        const picture = enteredPicture(findings);
        const questions = askNext(picture, SHIPPED);
        // What a speaking rule lacks comes first, then what was found makes one look at, then all that might make a rule speak.
        const group = ({ lacksAmount, because }: (typeof questions)[number]) =>
          lacksAmount ? 0 : because === null ? 2 : 1;
        expect(questions.map(group)).toEqual(questions.map(group).toSorted());
        for (const of of [0, 1, 2]) {
          const expected = questions
            .filter((question) => group(question) === of)
            .map((question) => question.expected);
          expect(expected).toEqual(expected.toSorted((a, b) => b - a));
        }
        for (const { finding, sides, chance, seconds, lacksAmount, because } of questions) {
          if (!lacksAmount && because === null) expect(chance).toBeGreaterThan(0);
          expect(chance).toBeLessThanOrEqual(1.0001);
          expect(seconds).toBeGreaterThan(0);
          for (const side of sides)
            expect(picture[side][finding as 'arch'] ?? 'not-examined').toBe('not-examined');
        }
      }),
      { numRuns: 25 },
    );
  });

  it('by hand: an unknown arch with one rule moves half as often as it is low', () => {
    const rule = {
      id: 'only',
      topic: 'test',
      finding: 'low arch',
      when: { finding: 'arch', is: 'low' } as const,
      wishes: [{ feature: 'closure', avoid: ['slip-on'] } as const],
      strength: 'limit' as const,
      schools: [],
      evidence: 'C' as const,
      sources: ['practice'],
      because: 'for the test',
    };
    const [question] = askNext(enteredPicture(), { knowledge: { edition: 'test', rules: [rule] } });
    // A quarter of adults by construction of the index; a limit that comes counts 1.
    expect(question).toMatchObject({ finding: 'arch', expected: 0.25, chance: 0.25, features: ['closure'] });
  });
});

describe('plausible values', () => {
  const anyone = clinicalPicture();

  it('cover the whole prior, cut where rules change their mind', () => {
    const values = plausibleValues('lungeDistance', anyone, [9, 10]);
    expect(values).toHaveLength(3);
    expect(values.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 6);
    // Normal with mean 11 and SD 3: 25.2 % below 9 cm, by the standard normal table (z = −0.667).
    expect(values[0]!.share).toBeCloseTo(0.2525, 3);
    expect(values.map(({ value }) => Number(value) < 9)).toEqual([true, false, false]);
  });

  it('whole numbers stay whole and in their cell', () => {
    const older = clinicalPicture({ body: { ageYears: 80 } });
    const values = plausibleValues('falls', older, [1, 2]).map(({ value }) => Number(value));
    expect(values).toHaveLength(3);
    expect(values.every(Number.isInteger)).toBe(true);
    expect(values.map((value) => Math.min(2, value))).toEqual([0, 1, 2]);
  });
});
