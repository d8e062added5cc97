import { describe, expect, it } from 'vitest';
import { clinicalPicture, type FootFindings } from '../picture/clinical-picture';
import { atRiskCategory, REVIEW_MONTHS } from './at-risk-category';
import { suggestedWarnings } from './suggested-warnings';
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
    const present = [{ sign: 'open-wound', action: 'referred' as const }];
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
      { sign: 'tibialis-posterior', action: 'excluded' as const, note: 'rises with support' },
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
