import { clinicBreakIn } from '@tests/fixtures/break-in';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { answersDue } from '../break-in/answers-due';
import { planBreakIn } from '../break-in/plan';
import { addDays } from '../calendar/days';
import { clinicalPicture } from '../examination/clinical-picture';
import { speechIn } from '../texts/languages';
import { RECALL_KINDS, recallKind } from './kinds';
import { recallLetter } from './letter';
import { nextLetterAt } from './quiet';
import { girthAlarm } from './trends';

describe('quiet hours', () => {
  const at = (hour: number, minute = 0) => new Date(2030, 0, 1, hour, minute);
  const night = { from: 20, to: 8 };
  it.each([
    [at(12), at(12)],
    [at(8), at(8)],
    [at(19, 59), at(19, 59)],
    [at(20), new Date(2030, 0, 2, 8)],
    [at(3), at(8)],
  ])('written at %s goes out at %s', (now, out) => expect(nextLetterAt(now, night)).toEqual(out));
  it('may lie within a day, or be none', () => {
    expect(nextLetterAt(at(13), { from: 12, to: 14 })).toEqual(at(14));
    expect(nextLetterAt(at(3), { from: 0, to: 0 })).toEqual(at(3));
  });
  it('never sends within them, never before now, and waits no longer than a day', () => {
    const hour = fc.integer({ min: 0, max: 23 });
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 60 * 24 * 365 }), hour, hour, (minutes, from, to) => {
        const now = new Date(2030, 0, 1, 0, minutes);
        const out = nextLetterAt(now, { from, to });
        expect(out.getTime()).toBeGreaterThanOrEqual(now.getTime());
        expect(out.getTime() - now.getTime()).toBeLessThanOrEqual(25 * 3_600_000);
        expect(nextLetterAt(out, { from, to })).toEqual(out);
      }),
    );
  });
});

describe('a note to a patient', () => {
  const of = {
    patient: 'Test Person',
    clinic: 'Test clinic',
    phone: '055 010100',
    noMore: 'https://x.example/no-more#a',
  };
  it.each(['en', 'de'])('says nothing of why in its subject (%s)', (language) => {
    const { say } = speechIn(language);
    const subjects = RECALL_KINDS.flatMap((kind) => {
      const { letter } = recallKind(kind);
      return letter === null ? [] : [recallLetter(letter, of, say).subject];
    });
    expect(new Set(subjects).size).toBe(1);
    expect(subjects[0]).toContain('Test clinic');
  });
  it('says how to have no more of them, and whom to call', () => {
    const { body } = recallLetter('recall.review', of, speechIn('en').say);
    expect(body).toContain('Dear Test Person,');
    expect(body).toContain('055 010100');
    expect(body).toContain(of.noMore);
    expect(recallLetter('recall.review', { ...of, noMore: null }, speechIn('en').say).body).not.toContain(
      'http',
    );
  });
  it('no warning is a matter for a letter', () => {
    for (const kind of RECALL_KINDS) {
      const { isWarning, letter } = recallKind(kind);
      if (isWarning) expect(letter).toBeNull();
    }
  });
});

describe('against the days before', () => {
  it('a girth that rose for real asks to be seen, one that fell does not', () => {
    const at = (hour: string, mm: number) => ({ at: `2030-01-01T${hour}:00`, mm });
    const before = [at('08', 370), at('08', 372), at('08', 370)];
    expect(girthAlarm([], at('08', 400))).toBeNull();
    expect(girthAlarm(before, at('08', 379))).toBeNull();
    expect(girthAlarm(before, at('09', 380))).toContain('10 mm more');
    expect(girthAlarm(before, at('08', 350))).toBeNull();
  });
  it('an evening is held against evenings: what each day adds is no new swelling', () => {
    const at = (hour: string, mm: number) => ({ at: `2030-01-01T${hour}:00`, mm });
    const days = [at('08', 474), at('19', 489), at('08', 475), at('20', 490)];
    expect(girthAlarm(days, at('19', 492))).toBeNull();
    expect(girthAlarm(days, at('19', 501))).toContain('12 mm more');
    // The first evening beside one morning says nothing; beside three it stands out.
    expect(girthAlarm([at('08', 474)], at('19', 490))).toBeNull();
    expect(girthAlarm([at('08', 474), at('08', 475), at('08', 474)], at('19', 490))).toContain('16 mm more');
  });
});

describe('the answers of a break-in', () => {
  const input = clinicBreakIn({ picture: clinicalPicture({}) });
  it('are missed a week after the last, until the plan is done', () => {
    const due = answersDue(input)!;
    expect(due).toEqual({ on: addDays(input.startOn, 7), until: planBreakIn(input).doneOn });
    const answered = answersDue({
      ...input,
      answers: [{ on: addDays(input.startOn, 3), felt: 'fine' }],
    });
    expect(answered === null || answered.on === addDays(input.startOn, 10)).toBe(true);
  });
  it('are not asked for of a pair that is stopped, or needs no plan', () => {
    expect(answersDue({ ...input, answers: [{ on: input.startOn, felt: 'severe' }] })).toBeNull();
    expect(answersDue({ ...input, plan: 'none' })).toBeNull();
  });
});
