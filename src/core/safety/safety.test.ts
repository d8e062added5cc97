import { describe, expect, it } from 'vitest';
import { atRiskCategory, REVIEW_MONTHS } from '../examination/at-risk-category';
import { clinicalPicture } from '../examination/clinical-picture';
import type { ClinicalPicture, Findings, FootFindings } from '../findings/picture';
import { type AnkleAnswers, ankleInjuryRules } from './ankle-injury-rules';
import { hasAtRiskFoot, SUGGESTIONS, suggestedWarnings, type WarningContext } from './suggested-warnings';
import { openWarnings, type SeenWarning, urgencyOf, WARNING_SIGNS } from './warning-signs';

const signsOf = (picture: ClinicalPicture, context?: WarningContext) =>
  suggestedWarnings(picture, context).map(({ sign }) => sign);

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

  const asks = (present: SeenWarning, isAtRisk = false) =>
    openWarnings({ checked: true, present: [present] }, [], isAtRisk).map(({ message }) => message);
  const wound: SeenWarning = {
    sign: 'open-wound',
    action: 'referred',
    to: 'wound clinic',
    on: '2030-01-02',
    how: 'letter',
  };

  it('blocks until the check is made, because unknown is not normal', () => {
    expect(openWarnings({})).toHaveLength(1);
    expect(openWarnings({ checked: true })).toEqual([]);
  });

  it('a marked sign blocks until it is answered, and every answer asks for what it must say', () => {
    expect(asks({ sign: 'nerve' })[0]).toMatch(/record what was done\.$/);
    expect(asks({ sign: 'open-wound', action: 'referred' })[0]).toMatch(
      /write down to whom, on which day, how/,
    );
    expect(asks({ sign: 'open-wound', action: 'under-care', to: 'Dr Example', on: '2030-01-01' })[0]).toMatch(
      /write down what was agreed about footwear\.$/,
    );
    expect(asks({ sign: 'open-wound', action: 'excluded', note: '   ' })[0]).toMatch(/excluded by what\.$/);
    expect(asks(wound)).toEqual([]);
    expect(asks({ ...wound, how: ' ' })).toHaveLength(1);
    // What was written for another answer does not count for this one.
    expect(asks({ ...wound, action: 'excluded' })).toHaveLength(1);
  });

  it('a same-day sign holds the pair until somebody cleared it, unless it was excluded', () => {
    const ischaemia: SeenWarning = { ...wound, sign: 'ischaemia' };
    expect(asks(ischaemia)[0]).toMatch(/same day. No pair goes out until somebody records who cleared it/);
    expect(asks({ ...ischaemia, clearedBy: 'Dr Example' })).toHaveLength(1);
    expect(asks({ ...ischaemia, clearedOn: '2030-01-03' })).toHaveLength(1);
    expect(asks({ ...ischaemia, clearedBy: 'Dr Example', clearedOn: '2030-01-03' })).toEqual([]);
    expect(asks({ sign: 'ischaemia', action: 'excluded', note: 'pulses felt, warm' })).toEqual([]);
  });

  it('a wound of an at-risk foot is a matter of the same day (handbook 02)', () => {
    expect(asks(wound, true)).toHaveLength(1);
    expect(asks({ ...wound, clearedBy: 'Dr Example', clearedOn: '2030-01-03' }, true)).toEqual([]);
    expect(urgencyOf('open-wound', false)).toBe('within-2-days');
    expect(urgencyOf('open-wound', true)).toBe('same-day');
  });

  it('a foot may be at risk while nobody tested it', () => {
    const risk = (findings: Findings) => hasAtRiskFoot(clinicalPicture(findings));
    expect(risk({ left: { sensation: 'lost' } })).toBe(true);
    expect(risk({ right: { pulses: 'absent' } })).toBe(true);
    expect(risk({ body: { conditions: ['diabetes'] } })).toBe(true);
    const tested = { sensation: 'felt', pulses: 'present' } as const;
    expect(risk({ body: { conditions: ['diabetes'] }, left: tested, right: tested })).toBe(false);
    expect(risk({})).toBe(false);
  });

  it('findings that point at a sign ask for it', () => {
    const picture = clinicalPicture({ right: { archFlattening: 'yes', heelRises: 0 } });
    expect(signsOf(picture)).toEqual(['tibialis-posterior']);
    expect(openWarnings({ checked: true }, suggestedWarnings(picture))).toHaveLength(1);
    const excluded = [
      { sign: 'tibialis-posterior', action: 'excluded', note: 'rises with support' } as const,
    ];
    expect(openWarnings({ checked: true, present: excluded }, suggestedWarnings(picture))).toEqual([]);
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
    expect(signsOf(clinicalPicture(), { ankle })).toEqual(['fracture-rule']);
    expect(signsOf(clinicalPicture(), { ankle: { left: none } })).toEqual([]);
  });
});

describe('the table of what points at signs', () => {
  it('each row of the table names a sign that exists, what it looks at, and what it rests on', () => {
    const ids = WARNING_SIGNS.map(({ id }) => id);
    for (const { sign, when, mark } of SUGGESTIONS) {
      expect(ids).toContain(sign);
      expect(when.length).toBeGreaterThan(10);
      expect(mark).toMatch(/common practice|from memory/);
    }
  });
});
