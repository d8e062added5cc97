import { describe, expect, it } from 'vitest';
import { addDays } from '../calendar/days';
import { clinicalPicture } from '../examination/clinical-picture';
import { NO_HOUSE_RULES } from '../knowledge/house-rules';
import { pairsNamed } from '../visit/pairs-named';
import { readVisit } from '../visit/read-visit';
import {
  findingsOfOldPairs,
  isWornSmooth,
  mainPair,
  noticesOf,
  type OldPair,
  priorSpentOf,
  shareOfLife,
  usedOf,
  verdictOfPair,
  wantsOldPairFirst,
} from './old-pair';
import { isTakenForSpent } from './verdict';

const ON = '2031-06-15';
const ago = (days: number) => addDays(ON, -days);
const context = { on: ON, school: 'median' as const };
const pair = (part: Partial<OldPair> = {}): OldPair => ({
  id: 'p',
  title: 'Invented 1',
  use: 'road-running',
  model: '3f0c9a52-6a1e-4f0b-9a53-0d5a7b1f2c11',
  ...part,
});

describe('how far a pair is used', () => {
  it('what was said counts, with what errands add; else the week and its first day; an unworn pair was not used', () => {
    expect(usedOf(pair({ amount: 400 }), context)).toEqual({ amount: 400, from: 'said' });
    expect(usedOf(pair({ amount: 400, errands: 'much' }), context)!.amount).toBeCloseTo(540, 9);
    expect(usedOf(pair({ firstWornOn: ago(70) }), { ...context, weeklyKm: 20 })).toEqual({
      amount: 200,
      from: 'estimated',
    });
    expect(usedOf(pair({ firstWornOn: ago(70) }), context)).toBeNull();
    expect(usedOf(pair({ firstWornOn: ago(70), isUnworn: true, amount: 30 }), context)?.amount).toBe(0);
    // A week of kilometres says nothing of hours in court.
    expect(usedOf(pair({ use: 'court', firstWornOn: ago(70) }), { ...context, weeklyKm: 20 })).toBeNull();
  });

  it('the chance to be spent is that of such pairs, by use or by age, whichever has gone further', () => {
    expect(priorSpentOf(pair({ amount: 643.7 }), context)).toBeCloseTo(0.5, 2);
    expect(priorSpentOf(pair({ amount: 100, madeOn: ago(60) }), context)).toBeLessThan(0.01);
    expect(priorSpentOf(pair({ amount: 100, madeOn: ago(6 * 365) }), context)).toBeGreaterThan(0.9);
    // A dress sole does not age on the shelf so.
    expect(priorSpentOf(pair({ use: 'dress', amount: 10, madeOn: ago(6 * 365) }), context)).toBeLessThan(
      0.05,
    );
    for (let km = 0; km < 1500; km += 50)
      expect(priorSpentOf(pair({ amount: km + 50 }), context)).toBeGreaterThanOrEqual(
        priorSpentOf(pair({ amount: km }), context),
      );
  });
});

describe('what is said of it', () => {
  it('long in its box it is never called new: its foam is checked first', () => {
    const stored = pair({ isUnworn: true, boughtOn: ago(5 * 365) });
    expect(noticesOf(stored, context)[0]).toMatch(/^Unworn, but 5 years old: foam ages in its box/);
    expect(verdictOfPair(stored, context).spent).toBeGreaterThan(0.5);
    expect(noticesOf(pair({ isUnworn: true, boughtOn: ago(200) }), context)).toEqual([]);
  });

  it('a smooth patch ends a slip-rated sole, and no other', () => {
    const kitchen = { use: 'work' as const, smoothPatchMm2: 900, values: { tread: 'slip-rated' } };
    expect(isWornSmooth(pair(kitchen))).toBe(true);
    expect(isTakenForSpent(verdictOfPair(pair({ ...kitchen, amount: 20 }), context))).toBe(true);
    expect(isWornSmooth(pair({ ...kitchen, smoothPatchMm2: 800 }))).toBe(false);
    expect(isWornSmooth(pair({ smoothPatchMm2: 900, values: { tread: 'road' } }))).toBe(false);
  });
});

describe('what follows from it', () => {
  const found = (...pairs: OldPair[]) => findingsOfOldPairs(pairs, context).body;

  it('age, distance, drop and kind of the pair that did most of the miles; the first where nobody said', () => {
    const main = pair({
      id: 'm',
      isMain: true,
      firstWornOn: ago(213),
      amount: 520,
      values: { drop: 10, category: 'motion-control' },
    });
    expect(mainPair([pair(), main])?.id).toBe('m');
    expect(found(pair({ amount: 50 }), main)).toMatchObject({
      oldPairAge: 7,
      oldPairDistance: 520,
      oldPairDrop: 10,
      oldPairCategory: 'stability',
    });
    expect(found()).toBeUndefined();
  });

  it('creases early on the inner side push support and firmness; after much use they are age', () => {
    const early = found(pair({ amount: 40, signs: { creases: 'inner-early', fold: 'springs' } }));
    expect(early).toMatchObject({
      oldPairVerdict: 'soft',
      oldPairSigns: ['midsole-creased'],
      oldPairSpent: 'no',
    });
    const late = found(pair({ amount: 800, signs: { creases: 'inner-late', fold: 'none', ache: 'lately' } }));
    expect(late).toMatchObject({ oldPairSpent: 'yes', oldPairSigns: ['folds-flat'] });
    expect(late?.oldPairVerdict).not.toBe('soft');
  });

  it('a pair that nobody looked at says how far it is used, not how it suits', () => {
    expect(found(pair({ amount: 900 }))).toMatchObject({ oldPairSpent: 'yes' });
    expect(found(pair({ amount: 900 }))).not.toHaveProperty('oldPairVerdict');
    expect(found(pair({ amount: 900 }))).not.toHaveProperty('oldPairSigns');
  });

  it('a pair that suits pulls its model in the ranking, one that was wrong pushes it away', () => {
    const intact = { creases: 'none', fold: 'springs', foam: 'no', counter: 'sound', ache: 'none' } as const;
    const named = pairsNamed(
      [],
      [
        pair({ firstWornOn: ago(365), amount: 600, signs: intact }),
        pair({ id: 'q', amount: 40, signs: { creases: 'inner-early', ache: 'since-new' } }),
        pair({ id: 'r', amount: 40 }),
        pair({ id: 's', model: undefined, signs: intact }),
      ],
      context,
    );
    expect(named.map(({ id, verdict, months }) => [id, verdict, months && Math.round(months)])).toEqual([
      ['p', 'served', 12],
      ['q', 'failed', undefined],
    ]);
  });
});

describe('in the reading of a visit', () => {
  const facts = {
    startedAt: `${ON}T09:00:00.000Z`,
    patient: { bornOn: '1990-01-01', sizingGroup: 'women' as const, school: null },
    clinic: { school: 'balanced' as const, lifeSchool: 'median' as const },
    limb: null,
    carried: null,
    house: NO_HOUSE_RULES,
    issued: [],
  };
  const soft = {
    pairs: [pair({ amount: 40, values: { drop: 8 }, signs: { creases: 'inner-early' as const } })],
    findings: {},
  };
  const rulesOf = (roll: 'in' | 'out', oldPair: typeof soft) =>
    readVisit(
      facts,
      { 'old-pair': oldPair, move: { findings: { left: { roll }, right: { roll } } } },
      undefined,
    ).specification.targets.flatMap(({ pushes }) => pushes.map(({ rule }) => rule));

  it('early creases ask for hold, never of a foot that rolls out', () => {
    expect(rulesOf('in', soft)).toContain('old-pair-too-soft');
    expect(rulesOf('out', soft)).not.toContain('old-pair-too-soft');
  });

  it('what was entered in short counts before what follows from the pair, and the reading is kept while nothing changed', () => {
    const contents = { 'old-pair': { ...soft, findings: { body: { oldPairDrop: 4 } } } };
    const read = readVisit(facts, contents, undefined);
    expect(read.picture.body.oldPairDrop).toBe(4);
    expect(readVisit(facts, { 'old-pair': soft }, undefined).picture.body.oldPairDrop).toBe(8);
    expect(readVisit(facts, contents, undefined, read).specification).toBe(read.specification);
  });

  it('an estimated distance follows the week that is said in the history', () => {
    const brought = { findings: {}, pairs: [pair({ firstWornOn: ago(70) })] };
    const of = (weeklyDistance: number) =>
      readVisit(facts, { ask: { findings: { body: { weeklyDistance } } }, 'old-pair': brought }, undefined)
        .picture.body.oldPairDistance;
    expect([of(20), of(40)]).toEqual([200, 400]);
  });
});

describe('what a pair is beside its wear', () => {
  it('a backless pair has no counter and no lining that could speak', () => {
    const signs = { counter: 'broken', lining: 'yes' } as const;
    const pair = { id: 'a', title: 'Clog', use: 'house' as const, signs };
    const held = verdictOfPair(pair, context);
    const backless = verdictOfPair({ ...pair, isBackless: true }, context);
    expect(held.fits.loose).toBeGreaterThan(backless.fits.loose);
    expect(backless.fits).toEqual(verdictOfPair({ ...pair, signs: {} }, context).fits);
  });

  it('says what follows from an insert, a glued insole, a missing counter and a high heel, and takes its heel for its drop', () => {
    const pair = {
      id: 'a',
      title: 'Court shoe',
      use: 'dress' as const,
      insert: 'orthosis' as const,
      isInsoleGlued: true,
      isBackless: true,
      heelHeightMm: 60,
    };
    const said = noticesOf(pair, context).join(' ');
    for (const part of ['with it in', 'glued in', 'Backless', 'heel of 60 mm']) expect(said).toContain(part);
    expect(findingsOfOldPairs([{ ...pair, heelHeightMm: 22 }], context).body?.oldPairDrop).toBe(22);
    expect(findingsOfOldPairs([pair], context).body?.oldPairDrop).toBeUndefined();
  });

  it('comes first where something aches or a blister is there', () => {
    expect(wantsOldPairFirst(clinicalPicture({}))).toBe(false);
    expect(wantsOldPairFirst(clinicalPicture({ left: { pain: [] } }))).toBe(false);
    expect(wantsOldPairFirst(clinicalPicture({ left: { pain: ['shin'] } }))).toBe(true);
    expect(wantsOldPairFirst(clinicalPicture({ right: { skin: ['blister'] } }))).toBe(true);
  });
});

describe('how much of its life the main pair has used', () => {
  const context = { on: '2031-06-15', school: 'median', weeklyKm: 30 } as const;

  it('is its use over the middle of such lives, of the pair that did most of the miles', () => {
    const pairs = [
      { id: 'a', title: 'A', use: 'road-running', amount: 100 },
      { id: 'b', title: 'B', use: 'road-running', amount: 2000, isMain: true },
    ] as const;
    expect(shareOfLife(pairs, context)).toBeGreaterThan(1);
    expect(shareOfLife(pairs.slice(0, 1), context)).toBeLessThan(0.3);
  });

  it('is nothing where no pair was brought or nobody knows how far it went', () => {
    expect(shareOfLife([], context)).toBeNull();
    expect(shareOfLife([{ id: 'c', title: 'C', use: 'house' }], context)).toBeNull();
  });
});
