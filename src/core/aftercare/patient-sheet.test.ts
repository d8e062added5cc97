import { gradeOf } from '@tests/fixtures/readability';
import { sheetOf } from '@tests/fixtures/sheet';
import { describe, expect, it } from 'vitest';
import { clinicalPicture } from '../examination/clinical-picture';
import type { Findings } from '../findings/picture';
import { resolve } from '../prescribe/engine/resolve';
import texts from '../texts/en/sheet.json' with { type: 'json' };
import { linesOf } from './lines';
import { reviewDay, type SheetInput } from './patient-sheet';
import { MOST_POINTS } from './points';
import { patientSheetSchema } from './sheet-schema';

/** Difficult people: all that a page can be asked to say. */
const DIFFICULT: Findings[] = [
  {},
  {
    body: { ageYears: 80, conditions: ['diabetes'], hands: 'weak', falls: 2 },
    left: {
      bunion: 'severe',
      lesserToes: 'rigid',
      sensation: 'lost',
      pulses: 'absent',
      skin: ['nail', 'fragile'],
    },
    right: { swelling: 'constant' },
  },
  {
    body: { activities: ['road-running'], oldPairDrop: 0 },
    left: { pain: ['achilles-mid'], rubbedAt: ['heel-back'] },
  },
  { left: { legLength: 900 }, right: { legLength: 876, rubbedAt: ['toe-tips', 'instep'] } },
];

describe('the review', () => {
  it('comes two weeks after a hand-over for every category', () => {
    for (const category of [null, 0, 1, 2, 3] as const)
      expect(reviewDay('2030-03-01', category)).toBe('2030-03-15');
  });
});

describe('the patient’s sheet', () => {
  it('says when to stop and whom to call, what to bring and when, whatever the findings', () => {
    for (const findings of DIFFICULT) {
      const sheet = sheetOf(findings);
      expect(sheet.caution).toContain('does not tell you what is wrong');
      expect(sheet.stopAndCall).toHaveLength(4);
      expect(sheet.phone).toBe('055 010100');
      expect(sheet.dates.join(' ')).toContain('18 March 2030');
      expect(sheet.dates.join(' ')).toMatch(/used up some time between 1 August 2030 and 29 December 2030/);
      expect(sheet.dates.join(' ')).toContain('the old one');
      expect(sheet.howItFits[0]).toMatch(/\d+ to \d+ mm of room/);
    }
  });

  it('names at most six things, each with its place, in words and not in rules', () => {
    const { points } = sheetOf(DIFFICULT[1]!);
    expect(points).toHaveLength(MOST_POINTS);
    expect(new Set(points.map(({ text }) => text)).size).toBe(MOST_POINTS);
    for (const { text, feature } of points) {
      expect(text.split(' ').length).toBeLessThanOrEqual(16);
      expect(feature).not.toBeNull();
    }
    expect(points.map(({ text }) => text).join(' ')).not.toMatch(/at least|specification|drop/i);
    expect(sheetOf({}).points).toEqual([]);
  });

  it('leaves out what the clinician set aside', () => {
    const picture = clinicalPicture({ left: { pain: ['achilles-mid'] } });
    const setAside = resolve(picture).targets.flatMap((target) =>
      target.pushes.map((push) => ({ rule: push.rule, feature: target.feature, reason: 'for the test' })),
    );
    expect(sheetOf({}, { picture, specification: resolve(picture, { setAside }) }).points).toEqual([]);
  });

  it('shows both shoes where they are laced differently, and one where they are the same', () => {
    const shoes = (findings: Findings, over: Partial<SheetInput> = {}) => {
      const { lacing } = sheetOf(findings, over);
      return lacing.kind === 'laced'
        ? lacing.shoes.map(({ side, label }) => `${side}: ${label}`)
        : lacing.kind;
    };
    expect(shoes({})).toEqual(['right: Both shoes']);
    expect(shoes({ left: { bunion: 'severe' } })).toEqual(['left: Left shoe', 'right: Right shoe']);
    expect(shoes({}, { values: { closure: 'dial' } })).toBe('closure');
  });

  it('a slipping heel without an extra hole is told what holds instead', () => {
    const { lacing } = sheetOf(
      {},
      { tryOn: { model: 'm', left: { heelSlip: 'slight' }, right: { heelSlip: 'slight' } } },
    );
    const words =
      lacing.kind === 'laced'
        ? lacing.shoes.flatMap(({ because, steps }) => [...because, ...steps]).join(' ')
        : '';
    expect(words).toContain('no extra hole');
    expect(words).toContain('wind the two ends round each other twice');
  });

  it('tells a patient with a short leg the stages of the lift, and nobody else', () => {
    const changes = (findings: Findings) => sheetOf(findings).changes.join(' ');
    expect(changes(DIFFICULT[3]!)).toMatch(/Your right leg is raised in \d stages/);
    expect(changes({})).toBe('');
  });

  it('never tells skin that must be spared to be taped, and names the places that rubbed before', () => {
    const skin = (findings: Findings) => sheetOf(findings).skin.join(' ');
    expect(skin(DIFFICULT[1]!)).toContain('no tape');
    expect(skin(DIFFICULT[1]!)).not.toMatch(/Put tape|Shoe off, tape on/);
    expect(skin({ left: { rubbedAt: ['heel-back'], sensation: 'felt', pulses: 'present' } })).toContain(
      'Put tape on your heels before you set out',
    );
  });

  it('reads at grade 7 or below by Flesch and Kincaid, each sheet as a whole and the caution alone', () => {
    for (const findings of DIFFICULT)
      expect(gradeOf([...linesOf(sheetOf(findings)), texts.caution].join(' '))).toBeLessThanOrEqual(7);
    expect(gradeOf(texts.caution)).toBeLessThanOrEqual(7);
    // Nothing in the file is harder than two grades above that, whoever gets it.
    for (const [key, text] of Object.entries(texts))
      if (/[.:!?]$/.test(text))
        expect(gradeOf(text.replace(/\{\{\w+\}\}/g, 'two')), key).toBeLessThanOrEqual(9);
  });

  it('sends only whom it may to a shop: not a foot at risk, not a child, not a prosthesis', () => {
    expect(sheetOf({}).shop).toHaveLength(4);
    expect(sheetOf(DIFFICULT[1]!).shop).toEqual([]);
    expect(sheetOf({ body: { ageYears: 12 } }).shop).toEqual([]);
    expect(sheetOf({ body: { prosthesisSide: 'left', prosthesisMonths: 40 } }).shop).toEqual([]);
  });

  it('is what its schema says, stored and read back', () => {
    for (const findings of DIFFICULT) {
      const sheet = sheetOf(findings);
      expect(patientSheetSchema.parse(JSON.parse(JSON.stringify(sheet)))).toEqual(
        JSON.parse(JSON.stringify(sheet)),
      );
    }
  });
});

describe('readability', () => {
  it('is the grade of Kincaid 1975: 0.39 words a sentence + 11.8 syllables a word − 15.59', () => {
    // A worked example, from memory: 16 words of 24 syllables in one sentence.
    expect(
      gradeOf('This sentence, taken as a reading passage unto itself, is being used to prove a point.'),
    ).toBeCloseTo(8.35, 2);
    expect(gradeOf('The cat sat on the mat.')).toBeCloseTo(0.39 * 6 + 11.8 - 15.59, 6);
  });
});
