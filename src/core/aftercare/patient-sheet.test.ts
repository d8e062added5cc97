import { describe, expect, it } from 'vitest';
import { clinicalPicture } from '../examination/clinical-picture';
import type { Findings } from '../findings/picture';
import { resolve } from '../prescribe/engine/resolve';
import { patientSheet, reviewDay, type SheetInput } from './patient-sheet';

const sheetOf = (findings: Findings, over: Partial<SheetInput> = {}) => {
  const picture = clinicalPicture(findings);
  return patientSheet({
    patient: 'Test Person',
    clinic: 'Test clinic',
    shoe: 'Testmaker One 1',
    size: 'EU 42 D',
    startedOn: '2030-03-01',
    picture,
    specification: resolve(picture),
    values: { drop: 10, closure: 'laces' },
    tryOn: null,
    category: null,
    usualMinutes: 60,
    windowDays: { q10: 150, q90: 300 },
    startNextDay: 120,
    reviewOn: '2030-03-15',
    ...over,
  });
};

describe('calendar days', () => {
  it('the first review comes two weeks after a hand-over for every category', () => {
    for (const category of [null, 0, 1, 2, 3] as const)
      expect(reviewDay('2030-03-01', category)).toBe('2030-03-15');
  });
});

describe('the patient’s sheet', () => {
  it('carries the caution, when to stop and call, and what to bring, whatever the findings', () => {
    const sheet = sheetOf({});
    expect(sheet.caution).toMatch(/not a diagnosis/);
    expect(sheet.stopAndCall).toHaveLength(4);
    expect(sheet.bringAlong).toMatch(/old one/);
    expect(sheet.features).toEqual([]);
  });

  it('gives the leading features in plain words, each with a reason, on one page', () => {
    const sheet = sheetOf({
      body: { ageYears: 80, conditions: ['diabetes'], hands: 'weak' },
      left: { bunion: 'severe', lesserToes: 'rigid', sensation: 'lost', pulses: 'absent' },
    });
    expect(sheet.features).toHaveLength(6);
    for (const feature of sheet.features) {
      expect(feature.why.length).toBeGreaterThan(20);
      expect(feature.wanted).not.toBe('any');
    }
  });

  it('tells a patient with a short leg the stages of the lift, and nobody else', () => {
    const legs = (right: number) => sheetOf({ left: { legLength: 900 }, right: { legLength: right } });
    expect(legs(876).changes?.join(' ')).toMatch(/Your right leg is raised in \d stages.*no longer notice/);
    expect(legs(900).changes).toBeUndefined();
    expect(
      sheetOf(
        { left: { legLength: 900 }, right: { legLength: 876 } },
        { changes: ['Heel lift, right, 10 mm'] },
      ).changes,
    ).toHaveLength(2);
  });

  it('dates every break-in step from the start, the window and the next pair', () => {
    const sheet = sheetOf({});
    expect(sheet.breakIn[0]!.on).toBe('2030-03-01');
    expect(sheet.breakIn.map((step) => step.on)).toEqual(sheet.breakIn.map((step) => step.on).toSorted());
    expect(sheet.replaceBetween).toEqual({ from: '2030-07-29', to: '2030-12-26' });
    expect(sheet.startNextOn).toBe('2030-06-29');
  });

  it('an at-risk foot begins with a skin check; a new prosthesis keeps its one pair', () => {
    expect(sheetOf({}, { category: 2 }).breakIn[0]!.do).toMatch(/30 to 60 minutes/);
    const walker = sheetOf({ body: { prosthesisSide: 'left', prosthesisMonths: 1 } });
    expect(walker.breakIn.map((step) => step.do).join(' ')).toMatch(/same pair/);
  });

  it('a large change of drop or a step to minimal takes weeks, an event build-up warns', () => {
    const days = (findings: Findings, values: SheetInput['values']) =>
      sheetOf(findings, { values }).breakIn.map((step) => step.day);
    expect(Math.max(...days({ body: { oldPairDrop: 2 } }, { drop: 10 }))).toBe(56);
    expect(Math.max(...days({ body: { oldPairDrop: 9 } }, { drop: 10 }))).toBe(13);
    expect(Math.max(...days({}, { category: 'minimal' }))).toBe(56);
    expect(
      sheetOf({ body: { eventAhead: 'long' } })
        .breakIn.map((step) => step.do)
        .join(' '),
    ).toMatch(/pair you know/);
  });

  it('leaves out what the clinician set aside', () => {
    const picture = clinicalPicture({ left: { pain: ['achilles-mid'] } });
    const setAside = resolve(picture).targets.flatMap((target) =>
      target.pushes.map((push) => ({ rule: push.rule, feature: target.feature, reason: 'for the test' })),
    );
    expect(sheetOf({}, { picture, specification: resolve(picture, { setAside }) }).features).toEqual([]);
  });
});
