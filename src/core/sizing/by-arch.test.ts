import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { clinicalPicture } from '../examination/clinical-picture';
import { resolve } from '../prescribe/engine/resolve';
import { ALLOWANCES, isAccepted } from './allowances';
import { heelToFold, insideForBall, type LastShape, lengthLost, type SizedFoot } from './last-shape';
import type { FittedFoot } from './learned/fit-evidence';
import { learnOffsets } from './learned/learn-offsets';
import { withLearned } from './learned/learned-fit';
import { sizePair } from './size-pair';
import { insideLength, type ModelSizing, startSize } from './start-size';

const half = (from: number, to: number) =>
  Array.from({ length: (to - from) * 2 + 1 }, (_, at) => from + at / 2);
const model: ModelSizing = {
  system: 'eu',
  group: 'men',
  allowanceMm: 12,
  lengthOffsetMm: 0,
  widthOffsetMm: 0,
  sizes: half(35, 50),
  widths: ['B', 'D', '2E'],
  ballWidthMm: 96,
};
const room = { least: 10, wished: 12, most: 15 };
const usual: LastShape = { foldPercent: 73, toeBox: 'round', depthGrade: 2 };
const foot = (lengthMm: number, heelBallMm: number | null = null): SizedFoot => ({
  lengthMm,
  ballWidthMm: null,
  heelBallMm,
  toeShape: 'tapered',
});
const sized = (of: SizedFoot, shape = usual, sizing = model) => {
  const start = startSize(sizing, of, { room }, shape);
  if (!start.ok) throw new Error(start.problem.message);
  return start.value;
};
const length = fc.double({ min: 235, max: 290, noNaN: true });
const share = fc.double({ min: 0.68, max: 0.78, noNaN: true });
const fold = fc.integer({ min: 66, max: 79 });

describe('size by toes and by arch', () => {
  it('a foot of usual proportions in a usual shoe: both ask for the same, as by the toes alone', () => {
    fc.assert(
      fc.property(length, (mm) => {
        const both = sized(foot(mm, 0.73 * mm));
        expect(both.size).toBe(sized(foot(mm)).size);
        expect(both.byArch).toBe(both.byToes);
      }),
    );
  });

  it('by hand: 264 mm with a ball at 200 mm: the toes ask for 41.5, the arch for 43, and 42 lies between', () => {
    // 264 + 12 = 276 mm inside is EU 41.4; 200 / 0.73 + 12 = 286 mm is EU 42.9; between them 281 mm is EU 42.1.
    const start = sized(foot(264, 200));
    expect([start.byToes, start.byArch, start.size]).toEqual([41.5, 43, 42]);
    expect(start.why[1]).toBe('toes 41.5, arch 43');
    expect(sized(foot(264, 193)).why.some((reason) => reason.startsWith('toes'))).toBe(false);
  });

  it('a longer foot, and a longer heel to ball, never ask for a smaller size', () => {
    fc.assert(
      fc.property(
        length,
        share,
        fold,
        fc.double({ min: 0, max: 12, noNaN: true }),
        (mm, of, foldPercent, more) => {
          const shape = { ...usual, foldPercent };
          const ball = mm * of;
          const size = sized(foot(mm, ball), shape).size;
          expect(sized(foot(mm, ball + more), shape).size).toBeGreaterThanOrEqual(size);
          expect(sized(foot(mm + more, ball), shape).size).toBeGreaterThanOrEqual(size);
        },
      ),
    );
  });

  it('a short arch never leaves the toes less than the least room, a long one asks for half a size beyond what is wished, no more', () => {
    fc.assert(
      fc.property(length, share, fold, (mm, of, foldPercent) => {
        const start = sized(foot(mm, mm * of), { ...usual, foldPercent });
        expect(start.roomMm).toBeGreaterThanOrEqual(room.least - 0.05);
        const someFits = model.sizes.some((size) => {
          const left = insideLength(model, size) - mm;
          return left >= room.least && left <= room.most;
        });
        expect(start.roomMm).toBeLessThanOrEqual(room.most + (someFits ? 8.4667 / 2 : 6) + 0.1);
      }),
    );
  });

  it('where the ball or the fold is not known the toes decide alone', () => {
    expect(sized(foot(264, 200), { ...usual, foldPercent: null })).toMatchObject({
      byArch: null,
      foldMisfitMm: null,
    });
    expect(sized(foot(264)).byArch).toBeNull();
  });

  it('the misfit in millimetres is fold minus ball in the size taken, and its length is the inverse of the fold', () => {
    const start = sized(foot(264, 200));
    expect(start.foldMisfitMm).toBeCloseTo(heelToFold(insideLength(model, 42), 73, 0) - 200, 6);
    fc.assert(
      fc.property(length, fold, fc.double({ min: -8, max: 8, noNaN: true }), (mm, percent, offset) => {
        expect(heelToFold(insideForBall(mm, percent, offset), percent, offset)).toBeCloseTo(mm, 6);
      }),
    );
  });

  it('a heel–ball length outside what feet have decides nothing: it is measured again', () => {
    const pairOf = (heelBallLength: number) => {
      const picture = clinicalPicture({
        left: { footLength: 264, heelBallLength },
        right: { footLength: 264, heelBallLength },
      });
      const sizing = { sizing: model, features: { bendPoint: 73 } };
      const pair = sizePair(sizing, picture, resolve(picture));
      if (!pair.ok) throw new Error(pair.problem.message);
      return pair.value.left!;
    };
    expect(pairOf(212).byArch).toBeNull();
    expect(pairOf(200).byArch).not.toBeNull();
  });
});

describe('what the front of the box leaves', () => {
  it('a tapered box never asks for a smaller size than a square one, whatever the toes', () => {
    const toes = fc.constantFrom('square', 'tapered', 'pointed', null);
    fc.assert(
      fc.property(length, toes, fc.constantFrom(1, 2, 3, null), (mm, toeShape, depthGrade) => {
        const of = { ...foot(mm), toeShape };
        const size = (toeBox: 'tapered' | 'square') =>
          sized(of, { foldPercent: null, toeBox, depthGrade }).size;
        expect(size('tapered')).toBeGreaterThanOrEqual(size('square'));
      }),
    );
  });

  it('broad toes lose more of a tapered box than pointed ones, which fill it; tall toes meet a low roof', () => {
    const lost = (toeShape: 'square' | 'pointed', depthGrade = 2, toeHeightMm = 20) =>
      lengthLost(
        { foldPercent: null, toeBox: 'tapered', depthGrade },
        { ...foot(260), toeShape, toeHeightMm },
      );
    expect(lost('square')).toBeGreaterThan(lost('pointed'));
    expect(lost('pointed')).toBe(0);
    expect(lost('pointed', 1, 24)).toBeGreaterThan(0);
    expect(lost('pointed', 3, 24)).toBe(0);
  });
});

describe('allowances that go by one name', () => {
  it('differ: half an inch is 12.7 mm and accepted in the usual room, a thumb’s width is not', () => {
    const accepted = Object.fromEntries(
      ALLOWANCES.map((allowance) => [allowance.label, isAccepted(allowance, { least: 10, most: 15 })]),
    );
    expect(accepted).toEqual({
      'a thumbnail’s length': 'yes',
      'half an inch': 'yes',
      'a thumb’s width': 'no',
      'the foot scale and half to one size more': 'partly',
    });
    expect(isAccepted(ALLOWANCES[2]!, { least: 15, most: 19 })).toBe('partly');
  });
});

describe('what fittings teach of the fold', () => {
  const fitting = (bend: FittedFoot['bend'], heelBallMm: number | null = 193): FittedFoot => ({
    size: 41.5,
    width: 'D',
    footLengthMm: 264,
    ballWidthMm: null,
    roomMm: null,
    widthFit: null,
    heelBallMm,
    bend: bend ?? null,
  });
  const learnedFrom = (feet: FittedFoot[], foldPercent: number | null = 73) =>
    learnOffsets(
      [{ id: 'v', maker: 'M', name: 'N', sizing: model, foldPercent }],
      feet.map((one) => ({ version: 'v', feet: [one] })),
    ).get('v')!;

  it('“folds too far back” moves the fold back, the more fittings the surer, and asks for a larger size', () => {
    const one = learnedFrom([fitting('too-far-back')]).fold!;
    const many = learnedFrom(Array.from({ length: 8 }, () => fitting('too-far-back'))).fold!;
    expect(one.meanMm).toBeLessThan(0);
    expect(many.meanMm).toBeLessThan(one.meanMm);
    expect(many.sdMm).toBeLessThan(one.sdMm);
    const taught = withLearned(model, learnedFrom(Array.from({ length: 8 }, () => fitting('too-far-back'))));
    expect(sized(foot(264, 193), usual, taught).size).toBeGreaterThan(sized(foot(264, 193)).size);
  });

  it('a look that found it under the ball keeps the word of a usual shoe; no look teaches nothing', () => {
    expect(Math.abs(learnedFrom([fitting('under-ball')]).fold!.meanMm)).toBeLessThan(1);
    expect(learnedFrom([fitting(null)]).fold).toBeNull();
    expect(learnedFrom([fitting('too-far-back', null)]).fold).toBeNull();
    expect(learnedFrom([fitting('too-far-back')], null).fold).toBeNull();
  });
});
