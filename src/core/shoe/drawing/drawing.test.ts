import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FEATURES, type FeatureId, type FeatureValues, featureOf } from '../features';
import { footOutline } from './foot-outline';
import { sideProfile } from './side-profile';
import { solePlan } from './sole-plan';

/** Any shoe that the vocabulary can describe, with anything unknown. */
const shoes: fc.Arbitrary<FeatureValues> = fc.record(
  Object.fromEntries(
    (Object.keys(FEATURES) as FeatureId[]).map((id) => {
      const feature = featureOf(id);
      const value: fc.Arbitrary<unknown> =
        feature.kind === 'choice'
          ? fc.constantFrom(...Object.keys(feature.options))
          : feature.kind === 'grade'
            ? fc.double({ min: 1, max: feature.anchors.length, noNaN: true })
            : fc.integer({ min: feature.bounds[0], max: feature.bounds[1] });
      return [id, fc.option(value, { nil: undefined })];
    }),
  ),
) as fc.Arbitrary<FeatureValues>;

const points = (d: string): [number, number][] =>
  [...d.matchAll(/(-?\d+(?:\.\d+)?),(-?\d+(?:\.\d+)?)/g)].map((match) => [
    Number(match[1]),
    Number(match[2]),
  ]);

describe('every shoe of the vocabulary can be drawn', () => {
  it('with finite figures and parts named once', () => {
    fc.assert(
      fc.property(shoes, (values) => {
        for (const drawing of [sideProfile(values), solePlan(values, null)]) {
          const ids = drawing.parts.map((part) => part.id);
          expect(new Set(ids).size).toBe(ids.length);
          for (const part of drawing.parts) expect(part.d).toMatch(/^M[-\d.,MLCAZaz ]+$/);
          for (const side of drawing.viewBox) expect(Number.isFinite(side)).toBe(true);
        }
      }),
      { numRuns: 150 },
    );
  });

  it('standing on the ground: only lugs reach below it', () => {
    fc.assert(
      fc.property(shoes, (values) => {
        const outsole = sideProfile(values).parts.find((part) => part.id === 'outsole')!;
        expect(Math.max(...points(outsole.d).map(([, y]) => y))).toBeLessThan(3);
      }),
      { numRuns: 100 },
    );
  });

  it('with a rocker the toe stands higher and leaves the ground earlier', () => {
    const toe = (rocker: number) => {
      const outsole = sideProfile({ rocker, rockerApex: 58 }, 280).parts.find(
        (part) => part.id === 'outsole',
      )!;
      return Math.max(
        ...points(outsole.d)
          .filter(([x]) => x > 255)
          .map(([, y]) => y),
      );
    };
    expect(toe(3)).toBeLessThan(toe(1));
  });

  it('a base is drawn as wide as it is, within 4 mm, and ten millimetres more are nine to eleven', () => {
    const width = (forefootBase: number) => {
      const ys = points(solePlan({ forefootBase }, null).parts.find((part) => part.id === 'sole')!.d).map(
        ([, y]) => y,
      );
      return Math.max(...ys) - Math.min(...ys);
    };
    for (const base of [90, 100, 110, 120]) {
      expect(Math.abs(width(base) - base), `${base} mm`).toBeLessThan(4);
      expect(Math.abs(width(base + 10) - width(base) - 10), `from ${base} mm`).toBeLessThan(1);
    }
  });
});

describe('a foot from its measures', () => {
  it('is as long and as wide as it was measured', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 150, max: 320 }),
        fc.integer({ min: 60, max: 130 }),
        (lengthMm, ballWidthMm) => {
          const outline = footOutline({ lengthMm, ballWidthMm, heelBallMm: null });
          const xs = outline.map(([x]) => x);
          const ys = outline.map(([, y]) => y);
          expect(Math.max(...xs) - Math.min(...xs)).toBe(lengthMm);
          expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(ballWidthMm, 6);
        },
      ),
    );
  });

  it('has its ball where it was measured', () => {
    const medial = footOutline({ lengthMm: 262, ballWidthMm: 100, heelBallMm: 190 }).toSorted(
      (a, b) => a[1] - b[1],
    )[0]!;
    expect(medial[0]).toBe(190);
  });
});
