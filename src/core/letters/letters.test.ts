import { sheetOf } from '@tests/fixtures/sheet';
import { describe, expect, it } from 'vitest';
import { linesOf } from '../aftercare/lines';
import { clinicalPicture } from '../examination/clinical-picture';
import type { Findings } from '../findings/picture';
import { USUAL_FORMATS } from '../formats/formats';
import { BUILT_IN, resolve } from '../prescribe/engine/resolve';
import { boardOf } from '../prescribe/explain/board';
import { speechIn } from '../texts/languages';
import { employerLetter } from './employer-letter';
import { referrerLetter } from './referrer-letter';

const DIABETIC: Findings = {
  body: { ageYears: 58, conditions: ['diabetes'], activities: ['protective-work'] },
  left: { sensation: 'lost', pulses: 'present', bunion: 'severe', swelling: 'constant' },
  right: { sensation: 'felt', pulses: 'present', pain: ['achilles-mid'] },
};

describe('the letter to an employer', () => {
  const values = {
    toeProtection: 'safety',
    tread: 'slip-rated',
    water: 'proof',
    closure: 'hook-and-loop',
  } as const;
  const letterOf = (language = 'en', doneOn: string | null = '2030-04-01') =>
    employerLetter(sheetOf(DIABETIC, { values, language }), doneOn, speechIn(language));
  const textOf = (letter: ReturnType<typeof letterOf>) =>
    [letter.title, letter.says, ...letter.pair, ...letter.features, ...letter.lines, letter.call].join('\n');

  it('names the pair, what is to be seen on it, and days', () => {
    const letter = letterOf();
    expect(letter.pair).toEqual(['Testmaker One 1', 'Size EU 42 D']);
    expect(letter.features).toEqual([
      'A toe cap or a plate against nails',
      'A sole with a slip mark',
      'It keeps water out',
      'Closing: straps',
    ]);
    expect(textOf(letter)).toContain('Until 1 April 2030 it is worn only part of the day');
    expect(textOf(letter)).toContain('replaced between 1 August 2030 and 29 December 2030');
    expect(letter.call).toBe('Questions on the pair: 055 010100');
    expect(textOf(letterOf('en', null))).not.toContain('part of the day');
  });

  it('says nothing of the feet: no line of the sheet, no finding, no reason', () => {
    const text = textOf(letterOf());
    const sheet = sheetOf(DIABETIC, { values });
    for (const line of [...linesOf(sheet), ...sheet.stopAndCall]) expect(text).not.toContain(line);
    expect(text).not.toMatch(
      /diabet|sensation|skin|bunion|swell|pain|risk|sore|\bfoot\b|feet|toe joint|wound/i,
    );
  });

  it('is written in the language that is asked for', () => {
    expect(letterOf('de').says).toContain('hat dieses Paar am 4. März 2030 angepasst bekommen');
    expect(letterOf('de').features).toContain('Verschluss: Riemen');
  });
});

describe('the letter to the doctor who referred', () => {
  const letterFor = (findings: Findings, over: Partial<Parameters<typeof referrerLetter>[0]> = {}) => {
    const picture = clinicalPicture(findings);
    const board = boardOf(resolve(picture), picture, BUILT_IN);
    return referrerLetter({
      board,
      picture,
      contents: {},
      modifications: [],
      formats: USUAL_FORMATS,
      ...over,
    });
  };

  it('says what was found and led to something, the firmest reasons first, and how often the feet are seen', () => {
    const letter = letterFor(DIABETIC);
    expect(letter.found.join('; ')).toContain('10 g monofilament, left: lost');
    expect(letter.reasons.length).toBeGreaterThan(3);
    expect(letter.reasons.length).toBeLessThanOrEqual(7);
    for (const { because, target } of letter.reasons) {
      expect(because).not.toBe('');
      expect(target).not.toBe('');
    }
    expect(letter.more).toBeGreaterThan(0);
    expect(letter.risk).toMatch(/^At-risk category [123]: seen every/);
    expect(letterFor({}).risk).toBeNull();
    expect(
      letterFor({
        ...DIABETIC,
        left: { sensation: 'felt', pulses: 'present' },
        right: { sensation: 'felt', pulses: 'present' },
      }).risk,
    ).toBe('At-risk category 0: seen every 12 months.');
  });

  it('puts signs that need more than a shoe with what was done about them, and the changes by side', () => {
    const letter = letterFor(DIABETIC, {
      contents: {
        warnings: {
          checked: true,
          present: [{ sign: 'open-wound', action: 'referred', to: 'wound clinic', on: '2030-03-01' }],
        },
      },
      modifications: [{ kind: 'heel-lift', side: 'left', amount: 6 }],
    });
    expect(letter.warnings).toEqual([
      'Open wound, ulcer, discharge or black tissue (ulcer or infection); referred; wound clinic; 1 Mar 2030',
    ]);
    expect(letter.changes).toEqual(['left: lift inside 6 mm']);
  });
});
