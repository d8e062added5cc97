import { clinicBreakIn } from '@tests/fixtures/break-in';
import { sheetOf } from '@tests/fixtures/sheet';
import { describe, expect, it } from 'vitest';
import { planBreakIn } from '../break-in/plan';
import { addDays } from '../calendar/days';
import { clinicalPicture } from '../examination/clinical-picture';
import { SIDES } from '../findings/finding-kinds';
import { FINDINGS } from '../findings/findings';
import type { Findings } from '../findings/picture';
import { FILM } from '../photograph/limits';
import type { SockDay } from '../prosthesis/sock-advice';
import { keysOf } from '../tables/keys-of';
import { speechIn } from '../texts/languages';
import { gradeOf } from '../texts/readability';
import { limbWords } from './limb-words';
import { mayAdvise } from './may-advise';
import { homeContentSchema, isHomeWarning, type KeptContent, reportInWords } from './report';
import { daysInWords } from './today';
import { type HomeInput, homeView } from './view';
import { HOME_PLACES, homeViewSchema } from './view-schema';

const ON = '2030-03-04';
const SOUND = { sensation: 'felt', pulses: 'present' } as const;
const feet = (part: object): Findings => ({ left: { ...SOUND, ...part }, right: SOUND });

const viewOf = (findings: Findings | null, over: Partial<HomeInput> = {}) =>
  homeView({
    link: 'a-link',
    language: 'en',
    house: {},
    patient: 'Test',
    clinic: 'Test clinic',
    phone: '055 010100',
    picture: findings && clinicalPicture(findings),
    pairs: findings
      ? [
          {
            id: 'a-pair',
            sheet: sheetOf(findings),
            breakIn: clinicBreakIn({ picture: clinicalPicture(findings) }),
          },
        ]
      : [],
    limb: null,
    today: ON,
    madeAt: `${ON}T08:00:00.000Z`,
    ...over,
  });

describe('advice from afar', () => {
  const may = (findings: Findings) => mayAdvise(clinicalPicture(findings), 'left');
  it('is given for a foot that feels and is supplied', () => expect(may(feet({}))).toBe(true));
  it.each<[string, Findings]>([
    ['that does not feel', feet({ sensation: 'lost' })],
    ['with poor circulation', feet({ pulses: 'absent' })],
    ['that had an ulcer and does not feel', feet({ sensation: 'lost', injuries: ['foot-ulcer'] })],
    ['that is a residual limb', { ...feet({}), body: { prosthesisSide: 'left' } }],
    ['of which nobody knows anything', {}],
    ['untested in diabetes', { body: { conditions: ['diabetes'] } }],
    ['untested under a steroid', { body: { conditions: ['steroid', 'gout'] } }],
  ])('is not given for a foot %s', (_, findings) => expect(may(findings)).toBe(false));
  it('is given untested where somebody was asked and has nothing that harms skin', () =>
    expect(may({ body: { conditions: ['hip-arthritis'] } })).toBe(true));
  it('differs by foot', () => {
    const [{ advice } = { advice: null }] = viewOf(feet({ sensation: 'lost' })).pairs;
    expect(advice?.left).toBeNull();
    expect(advice?.right).not.toBeNull();
  });
  it('has a sentence for each place, by what is known of the foot', () => {
    const { advice } = viewOf(feet({})).pairs[0]!;
    expect(keysOf(advice.left!).toSorted()).toEqual([...HOME_PLACES].toSorted());
    expect(advice.left!['heel-back']).toContain('heel lock');
    expect(Object.values(advice.left!).every((text) => /^[A-Z].*\.$/.test(text))).toBe(true);
  });
  it('speaks of no laces where there are none', () => {
    const of = (closure: 'laces' | 'hook-and-loop') =>
      viewOf(feet({}), {
        pairs: [{ id: 'a', sheet: sheetOf(feet({}), { values: { drop: 8, closure } }), breakIn: null }],
      }).pairs[0]!.advice.left!;
    expect(of('laces')['heel-back']).toContain('lacing');
    expect(Object.values(of('hook-and-loop')).join(' ')).not.toMatch(/lac(e|ing)/i);
  });
  it('knows the places of the examination', () =>
    expect([...HOME_PLACES].toSorted()).toEqual(keysOf(FINDINGS.rubbedAt.options).toSorted()));
});

describe('what today asks', () => {
  const speech = speechIn('en');
  const input = clinicBreakIn({ picture: clinicalPicture(feet({})) });
  it('follows the plan day by day, then is all outings', () => {
    const plan = planBreakIn(input);
    const days = daysInWords(plan, input.unit, speech, input.startOn);
    expect(days[0]).toEqual({ on: input.startOn, text: 'At home only, up to 1 hour.' });
    const after = days.find(({ on }) => on === plan.doneOn);
    expect(after?.text).toBe('All outings in this pair.');
    for (const week of plan.weeks)
      for (const day of week.days) {
        const said = days.find(({ on }) => on === day.on);
        if (said && day.inNew > 0) expect(said.text).toContain('in this pair');
      }
  });
  it('says a day at home that is also one of an outing, whatever weekday it begins on', () => {
    for (let later = 0; later < 7; later += 1) {
      const startOn = addDays(input.startOn, later);
      const plan = planBreakIn({ ...input, startOn });
      const outing = plan.weeks[0]!.days.some(({ on, inOld }) => on === startOn && inOld > 0);
      expect(daysInWords(plan, input.unit, speech, startOn)[0]!.text).toBe(
        outing ? 'At home only, up to 1 hour; your old pair to go out.' : 'At home only, up to 1 hour.',
      );
    }
  });
  it('adds up two outings of one day', () => {
    const [day] = [{ on: input.startOn, step: 'short', inNew: 2, inOld: 3, hoursAtHome: null } as const];
    const plan = { weeks: [{ from: day.on, share: 0.4, days: [day, { ...day, inNew: 0, inOld: 5 }] }] };
    const [first] = daysInWords({ ...planBreakIn(input), ...plan }, 'km', speech, day.on);
    expect(first!.text).toBe('2 km in this pair, 8 km in the old pair.');
  });
  it('is to stop, or to come, where an answer asks for it', () => {
    const severe = { ...input, answers: [{ on: input.startOn, felt: 'severe' as const }] };
    const [first] = daysInWords(planBreakIn(severe), input.unit, speech, input.startOn);
    expect(first!.text).toBe('Do not wear it. Call us first.');
    const mild = {
      ...input,
      answers: [0, 1, 2].map((day) => ({ on: addDays(input.startOn, day), felt: 'mild' as const })),
    };
    expect(daysInWords(planBreakIn(mild), input.unit, speech, input.startOn)[0]!.text).toContain('Come back');
  });
});

describe('the view', () => {
  it('passes the schema that the phone holds it against, with no sentence left open but those it fills in', () => {
    for (const language of ['en', 'de'] as const) {
      const view = homeViewSchema.parse(viewOf(feet({}), { language }));
      const open = keysOf(view.words).filter((key) => view.words[key].includes('{{'));
      expect(open.toSorted()).toEqual(['asOf', 'clipBusy', 'clipCount', 'waiting', 'wrong']);
      expect(view.call).toContain('055 010100');
    }
  });
  it('asks for socks of a limb, for girths of a swelling foot, and speaks to a parent of a child', () => {
    expect(viewOf({ ...feet({}), body: { prosthesisSide: 'right' } })).toMatchObject({
      stopNow: expect.stringContaining('Take the leg and the other shoe off'),
    });
    expect(viewOf(feet({ swelling: 'changes' })).swells).toBe(true);
    expect(viewOf({ ...feet({}), body: { ageYears: 9 } }).words.signFall).toBe('my child fell');
  });
  it('before a first visit has no pair, and so no advice', () => {
    const view = viewOf(null);
    expect(view.pairs).toEqual([]);
  });
  it('without a number says to call the clinic', () =>
    expect(viewOf(feet({}), { phone: '' }).call).toBe('Call your clinic today.'));
  it.each(['en', 'de'] as const)('reads at grade 7 or below in %s', (language) => {
    const { words, stopNow, pairs } = viewOf(feet({}), { language });
    const { advice } = pairs[0]!;
    const sentences = [
      ...Object.values(words),
      stopNow,
      ...SIDES.flatMap((side) => Object.values(advice[side]!)),
    ];
    const text = sentences.filter((sentence) => /[.?!]$/.test(sentence)).join(' ');
    expect(gradeOf(language, text)!).toBeLessThanOrEqual(7);
  });
});

describe('a report', () => {
  /** As it is kept: a report without pictures is kept as it was said. */
  const kept = (content: unknown): KeptContent => {
    const read = homeContentSchema.parse(content);
    if (read.kind === 'picture' || read.kind === 'clip') throw new Error('Its pictures lie beside it.');
    return read;
  };
  const warns = (content: unknown, stopsAtFirst = false) => isHomeWarning(kept(content), stopsAtFirst);
  const outing = (part: object) => ({
    kind: 'outing',
    felt: 'fine',
    gaitChanged: false,
    marks: false,
    ...part,
  });
  const blister = { kind: 'blister', spot: { side: 'left', place: 'ball' }, isOpen: false };
  it('warns by what it says, and at less of a foot that does not forgive', () => {
    expect(warns({ kind: 'warning', signs: ['hot'] })).toBe(true);
    expect(warns({ ...blister, isOpen: true })).toBe(true);
    expect(warns(outing({ felt: 'severe' }))).toBe(true);
    expect(warns(outing({ gaitChanged: true }))).toBe(true);
    for (const content of [blister, outing({ felt: 'mild' }), outing({ marks: true })]) {
      expect(warns(content)).toBe(false);
      expect(warns(content, true)).toBe(true);
    }
    expect(warns(outing({}), true)).toBe(false);
    expect(warns({ kind: 'comfort', comfort: 0 }, true)).toBe(false);
  });
  it('takes a film as its pictures, so many and so large', () => {
    const clip = (many: number, each = 100) =>
      homeContentSchema.safeParse({
        kind: 'clip',
        perSecond: 25,
        frames: Array.from({ length: many }, () => `/9j/${'A'.repeat(each)}`),
      }).error?.issues[0]?.message;
    expect(clip(FILM.mostFrames)).toBeUndefined();
    expect(clip(1)).toBe('A film has two pictures at least.');
    expect(clip(FILM.mostFrames + 1)).toBe('This film is too long.');
    expect(clip(40, 120_000)).toBe('This film is too large.');
  });
  it('reads as one line', () => {
    const words = (content: unknown) => reportInWords(kept(content), 'km');
    expect(words({ ...blister, isOpen: true })).toBe('blister or sore spot: left ball; skin open');
    expect(words({ kind: 'ache', spots: [blister.spot], pain: 3 })).toBe('aches: left ball, pain 3 of 10');
    expect(words({ kind: 'use', amount: 5 })).toBe('used 5 km');
    expect(reportInWords({ kind: 'clip', perSecond: 25, count: 60 })).toBe('film from behind, 60 pictures');
    expect(words({ kind: 'girth', side: 'left', measure: 'calfGirth', mm: 371 })).toBe('left calf: 371 mm');
  });
  it.each([
    [{ kind: 'use', amount: -1 }],
    [{ kind: 'use', amount: 1e9 }],
    [{ kind: 'warning', signs: [] }],
    [{ kind: 'ache', spots: [{ side: 'left', place: 'ear' }], pain: 2 }],
    [{ kind: 'picture', of: 'wear', image: 'aGVsbG8=' }],
    [{ kind: 'socks', ply: 2.5 }],
    [{ kind: 'unknown' }],
  ])('is refused: %j', (content) => expect(homeContentSchema.safeParse(content).success).toBe(false));
});

describe('the socks of a limb, in the patient’s words', () => {
  const { say } = speechIn('en');
  const day = (part: Partial<SockDay>): SockDay => ({
    step: { kind: 'stay' },
    worn: 4,
    curve: [],
    range: { from: 4, to: 6 },
    carry: { carry: [3, 1, 1], reached: [3, 4, 5], missing: [], sentence: '', lacks: [] },
    ...part,
  });
  it('say what to change, what is coming, and what to take along', () => {
    expect(limbWords(day({ step: { kind: 'add', by: 1, to: 5, socks: [3, 1, 1] } }), say)).toEqual({
      now: 'Add 1 ply now. Wear 1 × 3-ply + 2 × 1-ply.',
      isStop: false,
      later: 'Later today you may need 4 to 6 ply.',
      carry: 'Take along: 1 × 3-ply + 2 × 1-ply.',
      worn: 4,
    });
    expect(limbWords(day({ step: { kind: 'take-off', by: 1, to: 0, socks: [] } }), say).now).toContain(
      'Wear no sock',
    );
    expect(limbWords(day({ step: { kind: 'add', by: 2, to: 6, socks: null } }), say).now).toContain(
      'do not make 6 ply. Call us',
    );
  });
  it('name no ply at all where it hurts or a warning is open', () => {
    for (const step of [{ kind: 'stop', because: 'pain' }, { kind: 'none-left' }] as const) {
      const words = limbWords(day({ step }), say);
      expect(words).toMatchObject({ isStop: true, later: null, carry: null });
      expect(words.now).not.toMatch(/\d/);
    }
  });
});
