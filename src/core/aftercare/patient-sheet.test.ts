import { clinicBreakIn } from '@tests/fixtures/break-in';
import { sheetOf } from '@tests/fixtures/sheet';
import { describe, expect, it } from 'vitest';
import { planBreakIn } from '../break-in/plan';
import { clinicalPicture } from '../examination/clinical-picture';
import type { Findings } from '../findings/picture';
import { resolve } from '../prescribe/engine/resolve';
import { GRADE_WANTED, gradeOf } from '../texts/readability';
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
      expect(sheet.stopAndCall.length).toBeGreaterThanOrEqual(3);
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
    expect(changes(DIFFICULT[3]!)).toMatch(/Your right leg is raised step by step: \d+ mm inside, then/);
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

  it.each(['en', 'de'])('reads at grade 7 or below in %s by the formula of the language', (language) => {
    for (const findings of DIFFICULT) {
      const sheet = sheetOf(findings, { language });
      expect(
        gradeOf(language, [...linesOf(sheet), ...sheet.shop, sheet.caution].join(' ')),
      ).toBeLessThanOrEqual(GRADE_WANTED);
      expect(gradeOf(language, sheet.caution)).toBeLessThanOrEqual(GRADE_WANTED);
    }
  });

  it('is written as a whole in the patient’s language, days and amounts too', () => {
    const sheet = sheetOf(DIFFICULT[3]!, { language: 'de' });
    const english = new Set([
      ...linesOf(sheetOf(DIFFICULT[3]!)),
      ...Object.values(sheetOf(DIFFICULT[3]!).words),
    ]);
    const german = [...linesOf(sheet), ...Object.values(sheet.words), ...sheet.shop];
    expect(german.filter((line) => english.has(line))).toEqual([]);
    expect(sheet.dates[0]).toBe('Kommen Sie am 18. März 2030 zu uns.');
    expect(sheet.changes.join(' ')).toMatch(
      /Ihr rechtes Bein wird Schritt für Schritt erhöht: \d+ mm innen, dann/,
    );
    expect(sheet.direction).toBe('ltr');
  });

  it('takes the clinic’s own sentence in the place of the standard one', () => {
    const house = { 'care.wet': 'Wet? Bring it to us.', 'socks.title': 'Socks' };
    const sheet = sheetOf({}, { house });
    expect(sheet.care).toContain('Wet? Bring it to us.');
    expect(sheet.words.socks).toBe('Socks');
    expect(sheet.words.care).toBe('Looking after it');
  });

  it('speaks to the parent of a child: measures often, wears no blame', () => {
    const child = sheetOf({ body: { ageYears: 9 } });
    expect(child.words.title).toBe('For the parents of Test Person: the shoe Testmaker One 1');
    expect(child.howItFits.join(' ')).toMatch(/your child stand up.*measured every 6 months/);
    expect(child.stopAndCall).toContain('your child limps, or says that it hurts');
    expect(linesOf(child).join(' ')).not.toMatch(/your (foot|feet|toes|heel|skin)\b/i);
    expect(sheetOf({ body: { ageYears: 15 } }).howItFits.join(' ')).toMatch(
      /Your longest toe.*measured every 6/,
    );
    expect(sheetOf({ body: { ageYears: 40 } }).howItFits.join(' ')).not.toContain('measured');
  });

  it('tells a foot at risk to look and feel, and to stop for what does not hurt', () => {
    const atRisk = sheetOf(DIFFICULT[1]!);
    expect(atRisk.howItFits.join(' ')).toContain('Feel inside with your hand');
    expect(atRisk.skin.join(' ')).toContain('Never go barefoot');
    expect(atRisk.stopAndCall.join(' ')).toContain('even if it does not hurt');
    expect(sheetOf({}).stopAndCall.join(' ')).not.toContain('even if it does not hurt');
  });

  it('tells whoever walks on a prosthesis of the heel height and of the skin of the limb', () => {
    const sheet = sheetOf({ body: { prosthesisSide: 'left', prosthesisMonths: 40 } });
    expect(sheet.howItFits.join(' ')).toContain('set for this heel height');
    expect(sheet.stopAndCall.join(' ')).toContain('skin of your limb');
    expect(sheet.stopAndCall.join(' ')).toContain('presses in a new place');
    expect(sheet.howItFits.join(' ')).toContain('long shoe horn');
  });

  it('names the ankle to be set, and a lift only where one was made', () => {
    const body = { prosthesisSide: 'left', prosthesisSetRise: 12, prosthesisLever: 180 } as const;
    const sheet = (more: object, drop: number, part: object = {}) =>
      sheetOf(
        { body: { ...body, ...more } },
        { values: { drop, heelCounter: 4, closure: 'laces' }, ...part },
      );
    const ankle = { prosthesisAnkle: 'adjustable', prosthesisAnkleTo: 25 };
    expect(sheet(ankle, 20).howItFits.join(' ')).toContain('Set the ankle for 20 mm');
    expect(sheet({}, 6).changes).toEqual([]);
    const lift = { kind: 'heel-lift', side: 'left', amount: 6 } as const;
    expect(sheet({}, 6, { modifications: [lift] }).changes.join(' ')).toContain('6 mm');
  });

  it('plans socks for the days ahead, the weather and the room', () => {
    const input = { ...clinicBreakIn({ picture: clinicalPicture({}) }) };
    const trip = { on: '2030-08-01', days: 9, name: 'Coast path', amount: 20 };
    const breakIn = { ...input, events: [trip] };
    const skin = (over: Parameters<typeof sheetOf>[1]) => sheetOf({}, over).skin.join(' ');
    const planned = { input: breakIn, plan: planBreakIn(breakIn), isMuchSofter: false };
    expect(skin({ breakIn: planned })).toContain('Coast path, 9 days: take 2 pairs of wool socks');
    expect(skin({ breakIn: planned })).toContain('carry tape');
    expect(skin({ socks: { heat: true, wet: false } })).toContain('Change them at noon');
    expect(skin({ socks: { heat: false, wet: true } })).toContain('Carry a dry pair');
    expect(skin({ socks: { heat: false, wet: false, sock: 'thick' } })).toContain('same thick socks');
    expect(skin({ tryOn: { model: 'm', left: { widthFit: 'tight' }, right: {} } })).toContain('It is snug');
    expect(skin({})).not.toMatch(/at noon|In the wet|thick|It is snug/);
  });

  it('says what was changed on the pair, on which shoe and by how much', () => {
    const { changes } = sheetOf(
      {},
      {
        modifications: [
          { kind: 'heel-lift', side: 'left', amount: 6 },
          { kind: 'insert', side: 'both' },
          { kind: 'stretch', side: 'right', note: 'Over the small toe.' },
        ],
      },
    );
    expect(changes).toEqual([
      'Left shoe: a lift inside, under the heel, 6 mm.',
      'Both shoes: an insert under the foot.',
      'Right shoe: made wider where it pressed. Over the small toe.',
    ]);
  });

  it('sends only whom it may to a shop: not a foot at risk, not a child, not a prosthesis', () => {
    expect(sheetOf({}).shop).toHaveLength(5);
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
