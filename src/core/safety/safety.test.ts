import { describe, expect, it } from 'vitest';
import type { BodyMark } from '../body-map/mark';
import { atRiskCategory, REVIEW_MONTHS } from '../examination/at-risk-category';
import { clinicalPicture } from '../examination/clinical-picture';
import type { FootFindings } from '../findings/picture';
import { type AnkleAnswers, ankleInjuryRules } from './ankle-injury-rules';
import { SUGGESTIONS, suggestedWarnings } from './suggested-warnings';
import { openWarnings, WARNING_SIGNS } from './warning-signs';

const category = (left: FootFindings, conditions: string[] = []) =>
  atRiskCategory(clinicalPicture({ body: { conditions: conditions as never }, left }), 'left');

/** IWGDF 2019/2023 (Bus 2020 e3269, 2024 e3651), from memory. */
describe('at-risk category', () => {
  it.each([
    [{ sensation: 'felt', pulses: 'present' }, 0],
    [{ sensation: 'lost', pulses: 'present' }, 1],
    [{ sensation: 'felt', pulses: 'absent' }, 1],
    [{ sensation: 'lost', pulses: 'absent' }, 2],
    [{ sensation: 'lost', pulses: 'present', bunion: 'moderate' }, 2],
    [{ sensation: 'felt', pulses: 'absent', lesserToes: 'rigid' }, 2],
    [{ sensation: 'lost', pulses: 'present', injuries: ['foot-ulcer'] }, 3],
    [{ sensation: 'felt', pulses: 'absent', injuries: ['amputation'] }, 3],
  ] as [FootFindings, number][])('%o is category %d', (foot, expected) => {
    expect(category(foot)).toMatchObject({ known: true, category: expected });
  });

  it('renal failure without loss of sensation or arterial disease is formally 0', () => {
    expect(category({ sensation: 'felt', pulses: 'present' }, ['renal-failure'])).toMatchObject({
      category: 0,
    });
  });

  it('an untested sensation is not a normal one', () => {
    expect(category({ pulses: 'present' })).toMatchObject({ known: false, missing: ['sensation'] });
    expect(category({})).toMatchObject({ known: false });
    expect(category({ injuries: ['foot-ulcer'], pulses: 'present' })).toMatchObject({ known: false });
  });

  it('reviews every year, 6–12, 3–6, 1–3 months', () => {
    expect(REVIEW_MONTHS).toEqual({ 0: [12, 12], 1: [6, 12], 2: [3, 6], 3: [1, 3] });
  });
});

describe('warning signs', () => {
  it('holds the eleven signs of the handbook', () => {
    expect(WARNING_SIGNS).toHaveLength(11);
  });

  it('blocks until the check is made, and each sign has an action and a note', () => {
    expect(openWarnings({})).toHaveLength(1);
    expect(openWarnings({ checked: true })).toEqual([]);
    const present = [{ sign: 'open-wound', action: 'referred' } as const];
    expect(openWarnings({ checked: true, present })).toHaveLength(1);
    expect(openWarnings({ checked: true, present: [{ ...present[0]!, note: '  ' }] })).toHaveLength(1);
    expect(
      openWarnings({ checked: true, present: [{ ...present[0]!, note: 'wound clinic today' }] }),
    ).toEqual([]);
  });

  it('findings that point at a sign ask for it', () => {
    const picture = clinicalPicture({ right: { archFlattening: 'yes', heelRises: 0 } });
    expect(suggestedWarnings(picture)).toEqual(['tibialis-posterior']);
    expect(openWarnings({ checked: true }, suggestedWarnings(picture))).toHaveLength(1);
    const excluded = [
      { sign: 'tibialis-posterior', action: 'excluded', note: 'rises with support' } as const,
    ];
    expect(openWarnings({ checked: true, present: excluded }, suggestedWarnings(picture))).toEqual([]);
  });

  it('one-sided constant swelling with calf pain asks about thrombosis; both sides do not', () => {
    const oneSided = clinicalPicture({
      left: { swelling: 'constant', pain: ['calf'] },
      right: { swelling: 'none' },
    });
    expect(suggestedWarnings(oneSided)).toEqual(['calf-swelling']);
    const both = clinicalPicture({
      left: { swelling: 'constant', pain: ['calf'] },
      right: { swelling: 'constant' },
    });
    expect(suggestedWarnings(both)).toEqual([]);
  });
});

/** Stiell 1992, Ann Emerg Med; 1993, JAMA, from memory. */
describe('ankle-injury rules', () => {
  const none: AnkleAnswers = {
    malleolarPain: 'yes',
    outerMalleolus: 'no',
    innerMalleolus: 'no',
    midfootPain: 'no',
    fifthBase: 'no',
    navicular: 'no',
    fourSteps: 'yes',
  };
  it.each([
    [none, 'not-by-the-rule', 'not-by-the-rule'],
    [{ ...none, outerMalleolus: 'yes' }, 'x-ray', 'not-by-the-rule'],
    [{ ...none, innerMalleolus: 'yes' }, 'x-ray', 'not-by-the-rule'],
    [{ ...none, fourSteps: 'no' }, 'x-ray', 'not-by-the-rule'],
    [{ ...none, malleolarPain: 'no', outerMalleolus: 'yes' }, 'not-by-the-rule', 'not-by-the-rule'],
    [{ ...none, midfootPain: 'yes', fifthBase: 'yes' }, 'not-by-the-rule', 'x-ray'],
    [{ ...none, midfootPain: 'yes', navicular: 'yes' }, 'not-by-the-rule', 'x-ray'],
    [{ ...none, midfootPain: 'yes', fourSteps: 'no' }, 'x-ray', 'x-ray'],
  ] as [AnkleAnswers, string, string][])('%o', (answers, ankle, foot) => {
    expect(ankleInjuryRules(answers)).toMatchObject({ ankle, foot, missing: [] });
  });

  it('a missing answer never counts as “no”', () => {
    expect(ankleInjuryRules({})).toMatchObject({ ankle: 'unknown', foot: 'unknown' });
    const { fourSteps, ...without } = none;
    expect(fourSteps).toBe('yes');
    expect(ankleInjuryRules(without)).toMatchObject({ ankle: 'unknown', missing: ['fourSteps'] });
    expect(ankleInjuryRules({ malleolarPain: 'yes', fourSteps: 'no' }).ankle).toBe('x-ray');
  });

  it('suggests the fracture sign, which then blocks', () => {
    const ankle = { left: { ...none, fourSteps: 'no' as const } };
    expect(suggestedWarnings(clinicalPicture(), { ankle })).toEqual(['fracture-rule']);
    expect(suggestedWarnings(clinicalPicture(), { ankle: { left: none } })).toEqual([]);
  });

  it('calves 3 cm apart ask about thrombosis', () => {
    const calves = (left: number) =>
      clinicalPicture({ left: { calfGirth: left }, right: { calfGirth: 360 } });
    expect(suggestedWarnings(calves(390))).toEqual(['calf-swelling']);
    expect(suggestedWarnings(calves(385))).toEqual([]);
  });
});

describe('marks on the drawing point at signs', () => {
  const nobody = clinicalPicture();
  const base = { id: 'a', side: 'left', x: 50, y: 90 } as const;
  const wound = { ...base, layer: 'skin', view: 'sole', site: 'first-head', kind: 'wound' } as const;
  const shin = { ...base, layer: 'ache', view: 'front', site: 'shin' } as const;
  const suggested = (...marks: BodyMark[]) => suggestedWarnings(nobody, { marks });

  it('a wound is an open wound; a callus is not', () => {
    expect(suggested(wound)).toEqual(['open-wound']);
    expect(suggested({ ...wound, kind: 'callus' })).toEqual([]);
  });

  it('a bony place that aches under load and at night is a bone; one without the other is not', () => {
    expect(suggested({ ...shin, when: ['during', 'night'] })).toEqual(['bone-stress']);
    expect(suggested({ ...shin, when: ['during'] })).toEqual([]);
    expect(suggested({ ...shin, when: ['night'] })).toEqual([]);
    expect(suggested({ ...shin, site: 'calf', view: 'back', when: ['during', 'night'] })).toEqual([]);
  });

  it('each row of the table names a sign that exists, what it looks at, and what it rests on', () => {
    const ids = WARNING_SIGNS.map(({ id }) => id);
    for (const { sign, when, mark } of SUGGESTIONS) {
      expect(ids).toContain(sign);
      expect(when.length).toBeGreaterThan(10);
      expect(mark).toMatch(/common practice|from memory/);
    }
  });
});
