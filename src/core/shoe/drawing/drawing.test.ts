import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FEATURES, type FeatureId, type FeatureValues, featureOf } from '../features';
import { callouts } from './callouts';
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
      // A block heel under a sole that is nearly as thick: the steepest way down to the ball.
      { numRuns: 100, examples: [[{ heelKind: 'block', heelStack: 78, rocker: 1.5, rockerApex: 75 }]] },
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

  it('a heel of its own stands on the ground behind the arch, a slender one on less of it; a wedge fills the arch', () => {
    const heeled = (heelKind: string) => ({
      heelKind,
      heelStack: 60,
      heelHeight: 60,
      forefootStack: 8,
      drop: 52,
    });
    const onGround = (heelKind: string) => {
      const heel = sideProfile(heeled(heelKind), 250).parts.find((part) => part.id === 'heel')!;
      const xs = points(heel.d)
        .filter(([, y]) => y > -1)
        .map(([x]) => x);
      return [Math.min(...xs), Math.max(...xs)] as const;
    };
    const width = ([from, to]: readonly [number, number]) => to - from;
    expect(width(onGround('slender'))).toBeLessThan(15);
    expect(width(onGround('block'))).toBeGreaterThan(40);
    expect(onGround('block')[1]).toBeLessThan(250 * 0.3);
    expect(onGround('wedge')[1]).toBeGreaterThan(250 * 0.5);
    for (const kind of ['flat', 'platform'])
      expect(sideProfile(heeled(kind)).parts.some((part) => part.id === 'heel')).toBe(false);
  });

  it('a court shoe has no laces and no tongue; a buckle is a strap with its frame', () => {
    const ids = (values: FeatureValues) => sideProfile(values).parts.map(({ id }) => id);
    expect(ids({ use: 'dress', closure: 'slip-on' })).not.toContain('tongue');
    expect(ids({ use: 'dress', closure: 'slip-on' }).some((id) => id.startsWith('lace'))).toBe(false);
    expect(ids({ closure: 'buckle' })).toEqual(expect.arrayContaining(['strap', 'buckle']));
    expect(ids({ use: 'house', closure: 'slip-on' })).toContain('gore');
  });

  it('a house shoe is low at the heel and open down the instep; a post-operative one is open at the toes, with two broad straps', () => {
    const partsOf = (values: FeatureValues) => sideProfile(values, 270).parts;
    const top = (values: FeatureValues, from: number, to: number) =>
      Math.min(
        ...points(partsOf(values).find(({ id }) => id === 'upper')!.d)
          .filter(([x]) => x >= from && x <= to)
          .map(([, y]) => y),
      );
    expect(top({ use: 'house' }, -10, 40)).toBeGreaterThan(top({ use: 'walking' }, -10, 40) + 15);
    expect(top({ use: 'house' }, 90, 110)).toBeGreaterThan(top({ use: 'walking' }, 90, 110) + 15);
    const ids = partsOf({ use: 'post-operative' }).map(({ id }) => id);
    expect(ids).toEqual(expect.arrayContaining(['toes', 'strap-0', 'strap-1']));
    expect(ids).not.toContain('counter');
    const upper = points(partsOf({ use: 'post-operative' }).find(({ id }) => id === 'upper')!.d);
    expect(Math.max(...upper.map(([x]) => x))).toBeLessThan(270 * 0.9);
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

describe('a heel of its own, from above', () => {
  const partOf = (values: FeatureValues, id: string) =>
    solePlan({ heelStack: 60, forefootStack: 8, drop: 52, ...values }, null).parts.find(
      (part) => part.id === id,
    );
  const size = (d: string) => {
    const [xs, ys] = [points(d).map(([x]) => x), points(d).map(([, y]) => y)];
    return { long: Math.max(...xs) - Math.min(...xs), wide: Math.max(...ys) - Math.min(...ys) };
  };
  it('stands on a little piece where it is slender, on a broad one where it is a block', () => {
    const slender = size(partOf({ heelKind: 'slender' }, 'top-piece')!.d);
    const block = size(partOf({ heelKind: 'block' }, 'top-piece')!.d);
    expect(slender.wide).toBeLessThan(15);
    expect(slender.long).toBeLessThan(15);
    expect(block.wide).toBeGreaterThan(45);
    expect(block.long).toBeGreaterThan(50);
  });
  it.each([{ heelKind: 'wedge' }, { heelKind: 'flat' }, { heelKind: 'block', heelStack: 12, drop: 4 }])(
    'is not there with %j',
    (values) => expect(partOf(values, 'top-piece')).toBeUndefined(),
  );
});

describe('a child’s shoe', () => {
  const upper = (lengthMm: number, values: FeatureValues = {}) => {
    const ys = points(sideProfile(values, lengthMm).parts.find(({ id }) => id === 'upper')!.d).map(
      ([, y]) => y,
    );
    return Math.max(...ys) - Math.min(...ys);
  };
  it.each<FeatureValues>([
    {},
    { use: 'house' },
    { use: 'dress', closure: 'slip-on' },
    { use: 'post-operative' },
  ])('is lower than an adult’s, and higher for its length: %j', (values) => {
    expect(upper(200, values)).toBeLessThan(0.95 * upper(285, values));
    expect(upper(200, values) / 200).toBeGreaterThan(1.05 * (upper(285, values) / 285));
  });
  it('changes smoothly with its length: an adult’s begins where a child’s ends', () => {
    for (let length = 120; length < 290; length += 1)
      expect(Math.abs(upper(length + 1) - upper(length))).toBeLessThan(1.5);
  });
  it('bears the number of each feature where it is, not above it', () => {
    const uppers = (lengthMm: number) =>
      Math.min(
        ...points(sideProfile({}, lengthMm).parts.find(({ id }) => id === 'upper')!.d).map(([, y]) => y),
      );
    for (const lengthMm of [160, 200, 285])
      for (const { at } of callouts(
        ['collarHeight', 'closure', 'heelCounter', 'toeBoxDepth'],
        {},
        lengthMm,
      )) {
        expect(at[1]).toBeGreaterThan(uppers(lengthMm));
        expect(at[1]).toBeLessThan(0);
      }
  });
  it('has a sole as wide as its length asks, where no width is known; a known one stays', () => {
    const wide = (values: FeatureValues, lengthMm: number) =>
      solePlan(values, null, lengthMm).dimensions.map(({ text }) => Number(text));
    expect(wide({}, 200)[1]! / wide({}, 285)[1]!).toBeCloseTo(200 / 285, 1);
    expect(wide({ heelBase: 61, forefootBase: 80 }, 200)).toEqual([61, 80]);
  });
});
