import { testShoe } from '@tests/fixtures/invented-shoe';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { ShoeModel } from '../catalogue/model';
import { clinicalPicture } from '../examination/clinical-picture';
import { findingsOfBefore, type PairBefore, valuesToKeep } from '../history/before';
import { resolve } from '../prescribe/engine/resolve';
import type { FeatureValues } from '../shoe/features';
import { kinshipInWords, lineageOf } from './lineage';
import { otherSportInWords } from './other-sport';
import { rank } from './rank';
import { answerToWish } from './wanted';
import { ownCandidates } from './worn-in';

const USUAL: FeatureValues = {
  use: 'road-running',
  drop: 8,
  heelStack: 28,
  midsoleHardness: 3,
  heelCushioning: 3,
  heelCounter: 3,
  torsionalStiffness: 3,
  forefootStiffness: 2,
  mass: 280,
  width: 2,
};
const shoe = (id: string, features: FeatureValues = {}, part: Partial<ShoeModel> = {}): ShoeModel => ({
  ...testShoe(id, { ...USUAL, ...features }),
  ...part,
});
const wornPair = (model: ShoeModel, part: Partial<PairBefore> = {}): PairBefore => ({
  id: 'p',
  verdict: 'served',
  model: model.id,
  title: 'Aldis 2',
  months: 30,
  values: valuesToKeep(model.features),
  ...part,
});
const named = (version: string, part: Partial<ShoeModel> = {}) => ({
  maker: 'Invented',
  name: 'Aldis',
  version,
  ...part,
});

const worn = shoe('worn', {}, named('2'));
const next = shoe('next', { mass: 290 }, named('3', { replaces: 'worn' }));
const redesigned = shoe(
  'redesigned',
  { heelStack: 40, midsoleHardness: 1.5 },
  named('4', { replaces: 'next' }),
);
const renamed = shoe(
  'renamed',
  {},
  { maker: 'Invented', name: 'Aldis Plus', version: '1', replaces: 'worn' },
);
const other = shoe('other', {}, { maker: 'Invented', name: 'Berrin', version: '1' });
const all = [worn, next, redesigned, renamed, other];

describe('a model and its versions', () => {
  it('the model itself, a later version, one that took its place under another name; a redesign says so', () => {
    const kin = lineageOf(all, [wornPair(worn)]);
    expect([...kin].map(([id, { as }]) => [id, as])).toEqual([
      ['worn', 'same'],
      ['next', 'version'],
      ['redesigned', 'redesigned'],
      ['renamed', 'version'],
    ]);
    expect(kinshipInWords(kin.get('next')!)).toBe('Another version of Aldis 2, which served for 3 years.');
    expect(kinshipInWords(kin.get('redesigned')!)).toMatch(/changed too much/);
    expect(kinshipInWords(lineageOf(all, [wornPair(worn, { verdict: 'failed' })]).get('worn')!)).toBe(
      'This model failed before.',
    );
  });

  it('a failure of the same model counts before a success; a pair in words has no kin', () => {
    const kin = lineageOf(all, [wornPair(worn, { verdict: 'failed', months: 2 }), wornPair(worn)]);
    expect(kin.get('next')?.verdict).toBe('failed');
    expect(lineageOf(all, [{ id: 'p', verdict: 'served', title: 'some shoe' }]).size).toBe(0);
  });

  it('a pair that served never lowers the rank of its successor, whatever is wanted; one that failed never raises it', () => {
    const grade = fc.integer({ min: 1, max: 5 });
    const values = fc.record({
      drop: fc.integer({ min: 0, max: 14 }),
      midsoleHardness: grade,
      heelCushioning: grade,
      mass: fc.integer({ min: 180, max: 420 }),
      width: fc.integer({ min: 1, max: 4 }),
    });
    const pains = fc.constantFrom('achilles-mid', 'knee-front', 'forefoot', 'shin');
    fc.assert(
      fc.property(values, fc.array(values, { minLength: 2, maxLength: 6 }), pains, (own, rest, pain) => {
        const mine = shoe('worn', own, named('2'));
        const successor = shoe('next', own, named('3', { replaces: 'worn' }));
        const models = [
          mine,
          successor,
          ...rest.map((entry, at) => shoe(`m${at}`, entry, { name: `M${at}` })),
        ];
        const findings = {
          body: { activities: ['road-running' as const] },
          left: { pain: [pain as 'shin'] },
        };
        const place = (pairs: PairBefore[]) => {
          const { body } = findingsOfBefore(pairs);
          const specification = resolve(
            clinicalPicture({ ...findings, body: { ...findings.body, ...body } }),
          );
          return rank(models, specification, lineageOf(models, pairs)).ranked.findIndex(
            ({ id }) => id === 'next',
          );
        };
        const unsaid = place([]);
        expect(place([wornPair(mine, { good: ['comfortable'] })])).toBeLessThanOrEqual(unsaid);
        expect(place([wornPair(mine, { verdict: 'failed' })])).toBeGreaterThanOrEqual(unsaid);
      }),
      { numRuns: 60 },
    );
  });

  it('a school that knows no loyalty ranks as if nothing were named', () => {
    const specification = resolve(clinicalPicture({ body: { activities: ['road-running'] } }), {
      school: 'shape',
    });
    expect(rank(all, specification, lineageOf(all, [wornPair(worn)]))).toEqual(rank(all, specification));
  });
});

describe('the shoe that the patient wants', () => {
  const candidate = (model: ShoeModel, score: number) => ({
    entry: { id: model.id, score, unknown: 0, spread: 0 },
    model,
    pair: null,
    onShelf: 1,
  });
  const found = {
    usable: [candidate(worn, 0.9), candidate(next, 0.8), candidate(other, 0.5)],
    noSize: [{ model: renamed, message: 'Not made in the size needed.' }],
    excluded: [
      { id: 'redesigned', by: [{ feature: 'heelStack' as const, sentence: 'Heel stack 40 mm: falls' }] },
    ],
  };
  it.each([
    [next, { answer: 'good', place: 2, of: 3 }],
    [other, { answer: 'behind', place: 3, of: 3, shortBy: expect.closeTo(0.4, 9) }],
    [redesigned, { answer: 'no', because: ['Heel stack 40 mm: falls'] }],
    [renamed, { answer: 'no', because: ['Not made in the size needed.'] }],
    [shoe('gone'), { answer: 'no', because: [expect.stringMatching(/no longer to be had/)] }],
  ])('%#', (model, answer) => expect(answerToWish(model, found)).toEqual(answer));
});

describe('own pairs for a trip', () => {
  const specification = resolve(clinicalPicture({ body: { activities: ['hiking'], tripGround: 'rough' } }));
  const boot = shoe('boot', {
    use: 'hiking',
    torsionalStiffness: 4,
    forefootStiffness: 3,
    toeProtection: 'bumper',
  });
  const own = (usedKm: number | null, part: Partial<Parameters<typeof ownCandidates>[0][number]> = {}) => ({
    id: 'own',
    model: boot,
    ageDays: 120,
    forecast: {
      life: {
        clock: 'km' as const,
        from: 'practice' as const,
        pairs: 0,
        relatives: 0,
        q10: 450,
        q50: 640,
        q90: 900,
      },
      used: usedKm,
    },
    ...part,
  });
  const read = (
    usedKm: number | null,
    trip: { inDays: number; km: number | null },
    best: number | null = 0.5,
  ) => ownCandidates([own(usedKm)], specification, trip, best)[0]!;

  it('a worn-in pair with life left wins over a new one that is no better', () => {
    expect(read(200, { inDays: 60, km: 80 })).toMatchObject({ lasts: 'yes', isWornIn: true, wins: true });
    // Near misses: a much better new pair, a pair that is not worn in, one whose life is nearly over.
    expect(read(200, { inDays: 60, km: 80 }, 1.2).wins).toBe(false);
    expect(read(10, { inDays: 60, km: 80 }).wins).toBe(false);
    expect(read(600, { inDays: 60, km: 80 })).toMatchObject({ lasts: 'no', wins: false });
  });

  it('with less than two weeks to go nothing new is begun, though the pair may not last', () => {
    expect(read(430, { inDays: 10, km: 80 }, 1.2)).toMatchObject({ lasts: 'perhaps', wins: true });
    expect(read(430, { inDays: 40, km: 80 })).toMatchObject({ lasts: 'perhaps', wins: false });
    expect(read(630, { inDays: 10, km: 80 }).wins).toBe(false);
  });

  it('says what it does not know, and a limit excludes an own pair as any other', () => {
    expect(read(null, { inDays: 60, km: 80 })).toMatchObject({ lasts: 'unknown', wins: false });
    expect(read(200, { inDays: 60, km: null }).lasts).toBe('unknown');
    const court = { ...own(200), model: shoe('court', { use: 'court' }) };
    const [answer] = ownCandidates([court], specification, { inDays: 60, km: 80 }, 0.5);
    expect(answer).toMatchObject({
      score: null,
      wins: false,
      says: expect.stringMatching(/A limit excludes it/),
    });
  });

  it('more kilometres in it never make it last longer', () => {
    const rankOf = { yes: 2, perhaps: 1, no: 0, unknown: -1 };
    for (let km = 0; km < 900; km += 25)
      expect(rankOf[read(km + 25, { inDays: 60, km: 90 }).lasts]).toBeLessThanOrEqual(
        rankOf[read(km, { inDays: 60, km: 90 }).lasts],
      );
  });
});

describe('a shoe of a neighbour sport', () => {
  const picture = clinicalPicture({ body: { activities: ['court'], sports: ['tennis'] } });
  it('says how far off it is; one for no sport, and one for a patient without one, say nothing', () => {
    expect(otherSportInWords(picture, shoe('a', { madeForSport: 'padel' }))).toMatch(
      /^Made for padel, not tennis/,
    );
    expect(otherSportInWords(picture, shoe('b', { madeForSport: 'none' }))).toBe('');
    expect(otherSportInWords(clinicalPicture({}), shoe('c', { madeForSport: 'padel' }))).toBe('');
  });
});
