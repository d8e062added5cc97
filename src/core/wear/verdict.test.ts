import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SIGNS, type SignAnswers } from '../signs/signs';
import { keysOf } from '../tables/keys-of';
import {
  HYPOTHESES,
  isTakenForSpent,
  PRIOR_FIT,
  speaksForSpent,
  takenToFit,
  verdictInWords,
  verdictOf,
} from './verdict';

const signIds = keysOf(SIGNS);
/** Any answers to any of the signs. */
const answers: fc.Arbitrary<SignAnswers> = fc.record(
  Object.fromEntries(signIds.map((id) => [id, fc.constantFrom(...Object.keys(SIGNS[id].options))])),
  { requiredKeys: [] },
) as fc.Arbitrary<SignAnswers>;
const share = fc.double({ min: 0.02, max: 0.98, noNaN: true });

describe('the table of signs', () => {
  it('gives each answer a chance under each hypothesis, and all answers together make 1', () => {
    for (const id of signIds)
      for (const hypothesis of HYPOTHESES) {
        const chances: Readonly<Record<string, number>> = SIGNS[id].chances(hypothesis);
        expect(Object.keys(chances).toSorted(), id).toEqual(Object.keys(SIGNS[id].options).toSorted());
        expect(
          Object.values(chances).reduce((sum, chance) => sum + chance, 0),
          id,
        ).toBeCloseTo(1, 9);
        for (const chance of Object.values(chances)) expect(chance, id).toBeGreaterThan(0);
      }
  });
});

/** By hand: prior × likelihoods over the six, in the order spent or not × suits, soft, loose. */
describe('both answers, against enumeration by hand', () => {
  it('early inner buckling, half of its life used', () => {
    // 0.5 × (0.7, 0.2, 0.1) × creases inner-early (0.03, 0.45, 0.03 spent; 0.02, 0.5, 0.02 not).
    const weights = [0.35 * 0.03, 0.1 * 0.45, 0.05 * 0.03, 0.35 * 0.02, 0.1 * 0.5, 0.05 * 0.02];
    const sum = weights.reduce((all, weight) => all + weight, 0);
    const verdict = verdictOf({ creases: 'inner-early' }, 0.5);
    expect(verdict.spent).toBeCloseTo((weights[0]! + weights[1]! + weights[2]!) / sum, 9);
    expect(verdict.fits.soft).toBeCloseTo((weights[1]! + weights[4]!) / sum, 9);
  });

  it('nine tenths used, a late ache, nothing to be seen', () => {
    const seen = { creases: 'none', fold: 'springs', ache: 'lately' } as const;
    const weights = [
      0.9 * 0.7 * 0.32 * 0.2 * 0.5,
      0.9 * 0.2 * 0.1 * 0.2 * 0.4,
      0.9 * 0.1 * 0.32 * 0.2 * 0.4,
      0.1 * 0.7 * 0.86 * 0.85 * 0.09,
      0.1 * 0.2 * 0.3 * 0.55 * 0.1,
      0.1 * 0.1 * 0.86 * 0.85 * 0.1,
    ];
    const sum = weights.reduce((all, weight) => all + weight, 0);
    expect(verdictOf(seen, 0.9).spent).toBeCloseTo((weights[0]! + weights[1]! + weights[2]!) / sum, 9);
  });

  it('a little used, a lining with holes and a broken counter', () => {
    const weights = [
      0.1 * 0.7 * 0.12 * 0.35,
      0.1 * 0.2 * 0.12 * 0.35,
      0.1 * 0.1 * 0.45 * 0.5,
      0.9 * 0.7 * 0.04 * 0.05,
      0.9 * 0.2 * 0.04 * 0.05,
      0.9 * 0.1 * 0.45 * 0.3,
    ];
    const sum = weights.reduce((all, weight) => all + weight, 0);
    const verdict = verdictOf({ lining: 'yes', counter: 'broken' }, 0.1);
    expect(verdict.fits.loose).toBeCloseTo((weights[2]! + weights[5]!) / sum, 9);
    expect(takenToFit(verdict)).toBe('loose');
  });
});

/** Handbook 08, “Signs at an inspection”. */
describe('cases of practice', () => {
  it('buckled on the inner side within weeks: wrong for this wearer, not old', () => {
    const verdict = verdictOf({ creases: 'inner-early', fold: 'springs', through: 'no' }, 0.05);
    expect(takenToFit(verdict)).toBe('soft');
    expect(isTakenForSpent(verdict)).toBe(false);
    expect(verdict.movedFit).toEqual({ sign: 'creases', toward: 'soft' });
    // Near miss: the same creases after much use speak of age.
    const late = verdictOf({ creases: 'inner-late', fold: 'none', through: 'no' }, 0.6);
    expect(takenToFit(late)).not.toBe('soft');
    expect(isTakenForSpent(late)).toBe(true);
  });

  it('far beyond its life, an ache, no visible sign: spent', () => {
    const seen = { creases: 'none', through: 'no', tilt: 'level', ache: 'lately' } as const;
    expect(isTakenForSpent(verdictOf(seen, 0.97))).toBe(true);
    // Near miss: the same in a young pair.
    expect(isTakenForSpent(verdictOf(seen, 0.1))).toBe(false);
  });

  it('much used and intact: suits, and may be spent', () => {
    const seen = {
      creases: 'none',
      fold: 'springs',
      foam: 'no',
      counter: 'sound',
      tilt: 'level',
      ache: 'none',
    } as const;
    const verdict = verdictOf(seen, 0.7);
    expect(takenToFit(verdict)).toBe('suits');
    // What most pairs do is no finding about this one: nothing looked at, or only what tells of age.
    for (const seen of [{}, { pattern: 'yes' }] as const) expect(takenToFit(verdictOf(seen, 0.5))).toBeNull();
    expect(verdict.fits.suits).toBeGreaterThan(PRIOR_FIT.suits);
    expect(verdictOf(seen, 0.99).spent).toBeGreaterThan(0.2);
  });

  it('worn through is conclusive, a worn pattern is not', () => {
    expect(verdictOf({ through: 'yes' }, 0.3).spent).toBeGreaterThan(0.97);
    expect(verdictOf({ pattern: 'yes' }, 0.3).spent).toBeLessThan(0.45);
  });
});

describe('what holds of every pair', () => {
  it('more use never makes it less spent, nor a sign that speaks of age alone', () => {
    fc.assert(
      fc.property(answers, share, share, fc.constantFrom('through', 'pattern'), (seen, a, b, sign) => {
        const [low, high] = [Math.min(a, b), Math.max(a, b)];
        expect(verdictOf(seen, high).spent).toBeGreaterThanOrEqual(verdictOf(seen, low).spent - 1e-12);
        const { [sign as 'through']: _, ...rest } = seen;
        expect(verdictOf({ ...rest, [sign]: 'yes' }, a).spent).toBeGreaterThan(verdictOf(rest, a).spent);
      }),
    );
  });

  it('a sign of age that speaks of the fit as well never takes more than a few points from age', () => {
    const old = { fold: 'none', foam: 'yes', counter: 'broken', ache: 'lately' } as const;
    fc.assert(
      fc.property(answers, share, fc.constantFrom(...keysOf(old)), (seen, prior, sign) => {
        const { [sign]: _, ...rest } = seen;
        expect(verdictOf({ ...rest, [sign]: old[sign] }, prior).spent).toBeGreaterThanOrEqual(
          verdictOf(rest, prior).spent - 0.06,
        );
      }),
    );
  });

  it('is the same in whatever order the signs were looked at, and its chances make 1', () => {
    fc.assert(
      fc.property(answers, share, (seen, prior) => {
        const { fits, spent } = verdictOf(seen, prior);
        expect(fits.suits + fits.soft + fits.loose).toBeCloseTo(1, 9);
        const turned = Object.fromEntries(Object.entries(seen).toReversed()) as SignAnswers;
        expect(verdictOf(turned, prior).spent).toBeCloseTo(spent, 12);
      }),
    );
  });

  it('asks next for what tells most for the time it takes, and for nothing once all was looked at', () => {
    expect(verdictOf({}, 0.5).next).not.toBeNull();
    expect(verdictOf({}, 0.5).next).not.toBe('pattern');
    fc.assert(
      fc.property(answers, share, (seen, prior) => {
        const { next } = verdictOf(seen, prior);
        if (next === null) expect(Object.keys(seen)).toHaveLength(signIds.length);
        else expect(seen[next]).toBeUndefined();
      }),
    );
  });

  it('says both answers in words, with a reservation where it is not sure', () => {
    expect(verdictInWords(verdictOf({ through: 'yes' }, 0.6))[0]).toMatch(/^Spent \(9\d %\)\.$/);
    expect(verdictInWords(verdictOf({}, 0.7))).toEqual([
      'Probably spent (70 %).',
      'Whether it suits cannot be told yet.',
    ]);
    expect(verdictInWords(verdictOf({}, 0.5))[0]).toBe('Spent or not cannot be told yet (50 %).');
    expect(verdictInWords(verdictOf({}, 0.02))[0]).toBe('Has life left (98 %).');
  });
});

describe('how strongly a clinic takes a sign', () => {
  it('not at all: it moves nothing, and is not asked for; twice: it moves further; as it stands: as without a setting', () => {
    const at = (fold?: number) => verdictOf({ fold: 'none' }, 0.4, fold === undefined ? {} : { fold });
    expect(at(0).spent).toBeCloseTo(0.4, 9);
    expect(at(1).spent).toBeCloseTo(at().spent, 12);
    expect(at(2).spent).toBeGreaterThan(at(1).spent);
    expect(at(0.5).spent).toBeLessThan(at(1).spent);
    const none = Object.fromEntries(keysOf(SIGNS).map((sign) => [sign, sign === 'tilt' ? 1 : 0]));
    expect(verdictOf({}, 0.4, none).next).toBe('tilt');
  });

  it('what each answer is worth is told the way it speaks', () => {
    expect(speaksForSpent('through', 'yes')).toBeGreaterThan(50);
    expect(speaksForSpent('fold', 'none')).toBeGreaterThan(speaksForSpent('pattern', 'yes'));
    expect(speaksForSpent('fold', 'springs')).toBeLessThan(1);
    expect(speaksForSpent('fold', 'none', { fold: 0 })).toBeCloseTo(1, 12);
  });
});
