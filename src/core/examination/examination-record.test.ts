import { describe, expect, it } from 'vitest';
import { FINDINGS } from '../findings/findings';
import type { Findings } from '../findings/picture';
import { findingsSchema } from '../findings/schema';
import type { Taken } from '../findings/taken';
import { clinicalPicture } from './clinical-picture';
import { examinationRecord } from './examination-record';
import { compareMeasure } from './measures/compare';

const byTape: Taken = { at: '2030-06-15T09:40:00Z', by: 'A. Observer', with: 'hand' };
const byPrint: Taken = { ...byTape, with: 'footprint', method: 'print' };
const findings: Findings = {
  body: { ageYears: 40 },
  left: { archIndex: 0.28, footLength: 262 },
  right: { footLength: 258, pain: [] },
  taken: { 'left.archIndex': byPrint, 'left.footLength': byTape },
};

describe('how a finding was taken', () => {
  it('flows into the picture with method, moment, observer and instrument', () => {
    expect(clinicalPicture(findings).taken['left.archIndex']).toEqual(byPrint);
  });

  it('a later value without it drops the earlier one’s', () => {
    const picture = clinicalPicture(findings, { left: { footLength: 264 } });
    expect(picture.left.footLength).toBe(264);
    expect(picture.taken['left.footLength']).toBeUndefined();
    expect(picture.taken['left.archIndex']).toEqual(byPrint);
  });

  it('is checked at the door: place, finding, moment and instrument', () => {
    expect(findingsSchema.safeParse(findings).success).toBe(true);
    const taken = (key: string, part: object) =>
      findingsSchema.safeParse({ taken: { [key]: { ...byTape, ...part } } }).success;
    expect(taken('left.footLength', {})).toBe(true);
    expect(taken('middle.footLength', {})).toBe(false);
    expect(taken('left.shoeColour', {})).toBe(false);
    expect(taken('left.footLength', { at: 'yesterday' })).toBe(false);
    expect(taken('left.footLength', { with: 'guess' })).toBe(false);
  });
});

describe('the examination record', () => {
  const record = examinationRecord(clinicalPicture(findings));
  const line = (id: string, place: string) =>
    record.taken.find((entry) => entry.finding === id && entry.place === place);

  it('holds value with unit, side, band, position, method, instrument, moment and observer', () => {
    expect(line('archIndex', 'left')).toEqual({
      finding: 'archIndex',
      label: 'Arch index',
      place: 'left',
      value: '0.28',
      band: 'low arch',
      position: 'standing',
      method: 'print; middle third of the toeless print over the whole',
      instrument: 'footprint picture',
      at: '2030-06-15T09:40:00Z',
      by: 'A. Observer',
    });
    expect(line('footLength', 'right')).toMatchObject({ value: '258 mm', instrument: '', by: '' });
  });

  it('tells asked-and-none from not asked, and lists what was not examined with its side', () => {
    expect(line('pain', 'right')?.value).toBe('none');
    expect(line('pain', 'left')).toBeUndefined();
    expect(record.notExamined).toContainEqual({ label: FINDINGS.pain.label, places: ['left'] });
    expect(record.notExamined).toContainEqual({
      label: FINDINGS.lungeAngle.label,
      places: ['left', 'right'],
    });
    expect(record.notExamined.map((entry) => entry.label)).not.toContain(FINDINGS.postureTotal.label);
  });

  it('says what is from the patient’s record and what was carried over', () => {
    expect(line('ageYears', 'body')?.instrument).toBe('patient’s record');
    const carried = { keys: new Set(['left.footLength']), from: '2029-09-10' };
    const again = examinationRecord(clinicalPicture(findings), carried).taken;
    expect(again.find((entry) => entry.finding === 'footLength' && entry.place === 'left')?.instrument).toBe(
      'carried over from 2029-09-10',
    );
  });

  it('calls what follows from others derived', () => {
    expect(line('arch', 'left')).toMatchObject({ value: 'low', instrument: 'derived' });
    const posture = clinicalPicture({
      left: {
        postureTalarHead: 1,
        postureMalleolarCurves: 1,
        postureHeel: 1,
        postureTalonavicular: 0,
        postureInnerArch: 1,
        postureForefoot: 1,
      },
    });
    expect(examinationRecord(posture).taken.find((entry) => entry.finding === 'postureTotal')).toMatchObject({
      value: '5',
      band: 'normal (does not fit here)',
      instrument: 'derived',
    });
  });
});

describe('a measure beside the other foot and earlier visits', () => {
  const earlier = [
    { on: '2029-01-10', findings: { left: { footLength: 255 } } },
    { on: '2029-09-10', findings: { left: { footLength: 261.5 }, right: { footLength: 258 } } },
  ];
  const row = compareMeasure('footLength', clinicalPicture(findings), '2030-06-15', earlier);

  it('reads each difference against the measurement’s own error (ISO 20685-1: 2 mm, from memory, check)', () => {
    expect(row.sides).toEqual({ difference: 4, reading: 'beyond error' });
    expect(row.change.left).toEqual({ difference: 0.5, since: '2029-09-10', reading: 'within error' });
    expect(row.change.right).toEqual({ difference: 0, since: '2029-09-10', reading: 'within error' });
  });

  it('keeps the whole course, today last, and says nothing of what was not measured', () => {
    expect(row.course.left.map((point) => point.value)).toEqual([255, 261.5, 262]);
    const girth = compareMeasure('ballGirth', clinicalPicture(findings), '2030-06-15', earlier);
    expect(girth).toMatchObject({ sides: null, change: { left: null, right: null } });
  });
});
