import { testShoe } from '@tests/fixtures/invented-shoe';
import { describe, expect, it } from 'vitest';
import type { ShoeModel } from '../catalogue/model';
import type { Ranked } from '../match/rank';
import { fail, ok } from '../result/result';
import type { FeatureValues } from '../shoe/features';
import type { SizedPair } from '../sizing/size-pair';
import { fittingFallbacks } from './fallbacks';
import { comfortGuess, type FeltBefore, nextGuess } from './next-guess';
import type { TryOn } from './try-on';

const shoe = (id: string, features: FeatureValues, stock: Record<string, number> = {}) =>
  testShoe(id, features, { stock });
const base = { midsoleHardness: 3, heelStack: 28, drop: 8, mass: 280, heelCounter: 3, forefootStiffness: 3 };
const shelf = [
  shoe('middle', base),
  shoe('firm', { ...base, midsoleHardness: 4 }),
  shoe('soft', { ...base, midsoleHardness: 2 }),
  shoe('very firm', { ...base, midsoleHardness: 5 }),
  shoe('very soft', { ...base, midsoleHardness: 1 }),
  shoe('light', { ...base, mass: 200 }),
];
const byId = new Map(shelf.map((model) => [model.id, model]));
const ranked: Ranked[] = shelf.map(({ id }) => ({ id, score: 0.8, unknown: 0, spread: 0 }));
const guess = (...tryOns: TryOn[]) => nextGuess(tryOns, ranked, byId);

describe('which way to go', () => {
  it('nothing felt, nothing guessed; one rating alone says no direction', () => {
    expect(guess({ model: 'middle' })).toBeNull();
    expect(guess({ model: 'middle', comfort: 90 })).toBeNull();
  });

  it('the softer was liked better: softer still', () => {
    const next = guess(
      { model: 'firm', comfort: 55 },
      { model: 'middle', comfort: 70 },
      { model: 'soft', comfort: 85 },
    )!;
    expect(next.direction).toContain('softer');
    expect(next.candidates[0]!.id).toBe('very soft');
    expect(next.candidates[0]!.points).toBeGreaterThan(76);
    expect(next.candidates.map(({ id }) => id)).not.toContain('soft');
  });

  it('“too firm” alone is enough to go softer, “too much shoe” to go lighter (handbook 05)', () => {
    expect(guess({ model: 'middle', feels: ['too-firm'] })!.direction).toBe('softer');
    expect(guess({ model: 'middle', feels: ['too-firm'] })!.candidates[0]!.id).toMatch(/soft/);
    expect(guess({ model: 'middle', feels: ['too-soft'] })!.candidates[0]!.id).toMatch(/firm/);
    expect(guess({ model: 'middle', feels: ['too-much'] })!.candidates[0]!.id).toBe('light');
  });

  it('says of the next pair first what goes the way that was felt, then what goes against it', () => {
    const shoes = [
      shoe('tried', base),
      shoe('softer but higher', { ...base, midsoleHardness: 1, drop: 14, mass: 400 }),
      shoe('heavier alone', { ...base, mass: 400 }),
    ];
    const models = new Map(shoes.map((model) => [model.id, model]));
    const entries = shoes.map(({ id }) => ({ id, score: 0.8, unknown: 0, spread: 0 }));
    const next = (...feels: NonNullable<TryOn['feels']>) =>
      new Map(
        nextGuess([{ model: 'tried', feels }], entries, models)!.candidates.map(({ id, differs }) => [
          id,
          differs,
        ]),
      );
    expect(next('too-firm').get('softer but higher')).toBe('much softer, much heavier');
    expect(next('too-firm', 'too-much').get('softer but higher')).toBe('much softer, but much heavier');
    expect(next('too-firm', 'too-much').get('heavier alone')).toBe('but much heavier');
  });

  it('equals ridge regression, worked the general way, for one axis', () => {
    // One axis moves: comfort − 70 = level + taste · place, places 0 and −1 in felt steps of two features (hardness alone known).
    const next = guess({ model: 'middle', comfort: 60 }, { model: 'soft', comfort: 80 })!;
    const [p, q, s] = [6 ** 2, 20 ** 2, 7 ** 2];
    // Design rows (place, 1): (0, 1) and (−1, 1); posterior precision = prior + XᵀX / s².
    const a = 1 / p + 1 / s;
    const b = -1 / s;
    const d = 1 / q + 2 / s;
    const right = [(-1 * 10) / s, (-10 + 10) / s] as const;
    const taste = (right[0] * d - right[1] * b) / (a * d - b * b);
    expect(next.taste.firmness.points).toBeCloseTo(taste, 9);
    expect(next.taste.firmness.sd).toBeCloseTo(Math.sqrt(d / (a * d - b * b)), 9);
    expect(next.taste.drop).toEqual({ points: 0, sd: 6 });
  });

  it('never guesses another version of what was tried', () => {
    const again = { ...shelf[3]!, id: 'firm, next version', name: 'firm', version: '2' };
    const models = new Map([...byId, [again.id, again]]);
    const next = nextGuess(
      [
        { model: 'firm', comfort: 80 },
        { model: 'soft', comfort: 50 },
      ],
      [...ranked, { id: again.id, score: 1, unknown: 0, spread: 0 }],
      models,
    )!;
    expect(next.candidates.map(({ id }) => id)).not.toContain(again.id);
    expect(next.candidates[0]!.id).toBe('very firm');
  });

  it('a second rating of the same pair makes surer', () => {
    const once = guess({ model: 'firm', comfort: 60 }, { model: 'soft', comfort: 80 })!;
    const twice = guess({ model: 'firm', comfort: 60, comfortAgain: 60 }, { model: 'soft', comfort: 80 })!;
    expect(twice.taste.firmness.sd).toBeLessThan(once.taste.firmness.sd);
  });
});

describe('nothing fits', () => {
  const pair: SizedPair = {
    kind: 'same',
    left: {
      size: 42,
      label: 'EU 42 D',
      width: 'D',
      insideLengthMm: 274,
      roomMm: 12,
      insideWidthMm: 96,
      byToes: 42,
      byArch: null,
      foldMisfitMm: null,
      why: [],
    },
    right: null,
    label: 'EU 42 D',
    advice: '',
    fillerMm: 0,
  };
  const sizeOf = (model: ShoeModel) => (model.id === 'light' ? fail('no-size', 'Not made.') : ok(pair));

  it('first what stands on the shelf untried, then what can be ordered, then a shoemaker', () => {
    const stocked = new Map(byId).set('soft', shoe('soft', base, { '42 D': 1 }));
    const ways = fittingFallbacks(ranked, stocked, sizeOf, new Set(['middle', 'firm']));
    expect(ways.map((way) => ('id' in way ? `${way.kind} ${way.id}` : way.kind))).toEqual([
      'fetch soft',
      'order very firm',
      'order very soft',
    ]);
    expect(fittingFallbacks(ranked, byId, sizeOf, new Set(shelf.map(({ id }) => id)))).toMatchObject([
      { kind: 'refer' },
    ]);
    expect(fittingFallbacks(ranked.slice(0, 1), byId, sizeOf, new Set()).map(({ kind }) => kind)).toEqual([
      'order',
      'refer',
    ]);
  });
});

describe('what was felt at earlier visits', () => {
  const before: FeltBefore[] = [{ model: 'firm', comfort: 50, feels: ['too-firm'] }];
  const model = (id: string) => byId.get(id)!;

  it('shifts the first guess before anything is rated, and is left out by leaving it out', () => {
    const next = nextGuess([{ model: 'middle' }], ranked, byId, { before })!;
    expect(next.direction).toBe('softer');
    expect(next.earlier).toBe(1);
    expect(next.candidates[0]!.id).toMatch(/soft/);
    expect(guess({ model: 'middle' })).toBeNull();
  });

  it('speaks less surely than what is felt now', () => {
    const now = guess({ model: 'firm', comfort: 50, feels: ['too-firm'] })!;
    const then = nextGuess([], ranked, byId, { before })!;
    expect(then.taste.firmness.sd).toBeGreaterThan(now.taste.firmness.sd);
    expect(Math.abs(then.taste.firmness.points)).toBeLessThan(Math.abs(now.taste.firmness.points));
  });

  it('is shrunk by how much there is: the same said three times counts for more, and never beyond what was said', () => {
    const shift = (times: number) =>
      nextGuess([], ranked, byId, {
        before: Array.from({ length: times }, () => ({ model: 'middle', feels: ['too-firm'] as const })).map(
          ({ model: of, feels }) => ({ model: of, feels: [...feels] }),
        ),
      })!.taste.firmness.points;
    const shifts = [1, 2, 3, 10].map(shift);
    expect(shifts.map(Math.abs)).toEqual(shifts.map(Math.abs).toSorted((a, b) => a - b));
    expect(Math.abs(shifts[3]!)).toBeLessThan(8);
  });

  it('is the expected comfort of a pair before it is rated: the usual level where nothing is known', () => {
    expect(comfortGuess(model('soft'), [], [], byId)).toBe(70);
    const known = [{ model: 'middle', comfort: 40 }];
    expect(comfortGuess(model('middle'), [], known, byId)).toBeLessThan(62);
    expect(comfortGuess(model('soft'), [], before, byId)).toBeGreaterThan(
      comfortGuess(model('very firm'), [], before, byId),
    );
    expect(comfortGuess(model('soft'), [], [{ model: 'no longer sold', comfort: 10 }], byId)).toBe(70);
  });
});
