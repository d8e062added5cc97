import { halfSizes, testSizing } from '@tests/fixtures/invented-shoe';
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { cumulativeStdNormalProbability } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { clinicalPicture } from '../../examination/clinical-picture';
import { fitObservationOf } from '../../fitting/fit-observation';
import { normalBelow } from '../../statistics/normal';
import { insideWidth, UPPER_GIVES_MM } from '../start-size';
import { type FitObservation, type LabelledVersion, lengthOffsetSeen } from './fit-evidence';
import { learnOffsets } from './learn-offsets';
import { withLearned } from './learned-fit';
import { ROOM_ERROR_MM, readingVariance, scatterOf } from './length-evidence';
import { LENGTH_SPREAD, WIDTH_SPREAD } from './maker-offsets';
import { interval95, offsetInWords } from './offset-in-words';
import { type FamilyMember, familiesOf, offsetPosterior } from './offset-tree';
import { LOOSE_FROM_MM, WIDTH_ERROR_MM, widthScore } from './width-evidence';

const sizing = testSizing({ sizes: halfSizes(38, 48) });

/** A standard normal draw (Box–Muller) from a seeded source. */
function normals(seed: number): () => number {
  const source = xoroshiro128plus(seed);
  return () =>
    Math.sqrt(-2 * Math.log(1 - uniformFloat64(source))) * Math.cos(2 * Math.PI * uniformFloat64(source));
}

/** Solves A x = b by elimination: the general way that the tree's shortcut is held against. */
function solve(matrix: number[][], right: number[]): number[] {
  const rows = matrix.map((row, at) => [...row, right[at]!]);
  for (let at = 0; at < rows.length; at += 1) {
    for (let below = at + 1; below < rows.length; below += 1) {
      const factor = rows[below]![at]! / rows[at]![at]!;
      for (let column = at; column <= rows.length; column += 1)
        rows[below]![column]! -= factor * rows[at]![column]!;
    }
  }
  const x = new Array<number>(rows.length).fill(0);
  for (let at = rows.length - 1; at >= 0; at -= 1) {
    let sum = rows[at]![rows.length]!;
    for (let column = at + 1; column < rows.length; column += 1) sum -= rows[at]![column]! * x[column]!;
    x[at] = sum / rows[at]![at]!;
  }
  return x;
}

describe('offsets as a family', () => {
  const spread = { maker: 2.5, model: 2, version: 1.5 };
  interface Seen extends FamilyMember {
    id: string;
    mean: number;
    precision: number;
  }
  const evidence: Seen[] = [
    { id: 'a1', model: 'a', maker: 'm', mean: -4, precision: 3 / 9 },
    { id: 'a2', model: 'a', maker: 'm', mean: 0, precision: 0 },
    { id: 'b1', model: 'b', maker: 'm', mean: 2, precision: 1 / 9 },
    { id: 'c1', model: 'c', maker: 'n', mean: 0, precision: 0 },
  ];
  /** Mean and variance by identifier. */
  const posterior = (of: readonly Seen[]) => {
    const { mean, variance } = offsetPosterior(
      familiesOf(of),
      {
        mean: Float64Array.from(of, (entry) => entry.mean),
        precision: Float64Array.from(of, (entry) => entry.precision),
      },
      spread,
    );
    return new Map(of.map(({ id }, at) => [id, { mean: mean[at]!, variance: variance[at]! }]));
  };

  it('equals conditioning the joint Gaussian in general', () => {
    const covariance = (x: Seen, y: Seen) =>
      (x.maker === y.maker ? spread.maker ** 2 : 0) +
      (x.maker === y.maker && x.model === y.model ? spread.model ** 2 : 0) +
      (x.id === y.id ? spread.version ** 2 : 0);
    const seen = evidence.filter((entry) => entry.precision > 0);
    const joint = seen.map((x, i) => seen.map((y, j) => covariance(x, y) + (i === j ? 1 / x.precision : 0)));
    const weights = solve(
      joint,
      seen.map((entry) => entry.mean),
    );
    const versions = posterior(evidence);
    for (const entry of evidence) {
      const across = seen.map((other) => covariance(entry, other));
      const mean = across.reduce((sum, value, at) => sum + value * weights[at]!, 0);
      const explained = solve(joint, across).reduce((sum, value, at) => sum + value * across[at]!, 0);
      expect(versions.get(entry.id)!.mean).toBeCloseTo(mean, 9);
      expect(versions.get(entry.id)!.variance).toBeCloseTo(covariance(entry, entry) - explained, 9);
    }
  });

  it('shrinks to the maker, then to zero: a relative without a fitting follows its family, a stranger stays at zero', () => {
    const versions = posterior(evidence);
    expect(versions.get('a1')!.mean).toBeGreaterThan(-4);
    expect(versions.get('a2')!.mean).toBeLessThan(-1);
    expect(versions.get('a2')!.mean).toBeGreaterThan(versions.get('a1')!.mean);
    expect(versions.get('a2')!.mean).toBeLessThan(versions.get('b1')!.mean);
    expect(versions.get('c1')).toEqual({
      mean: 0,
      variance: expect.closeTo(2.5 ** 2 + 2 ** 2 + 1.5 ** 2, 9),
    });
  });

  it('more fittings pull further and are surer', () => {
    const learnedFrom = (fittings: number) =>
      posterior([{ id: 'v', model: 'm', maker: 'k', mean: 5, precision: fittings / 9 }]).get('v')!;
    for (const [few, many] of [
      [1, 3],
      [3, 10],
      [10, 100],
    ] as const) {
      expect(learnedFrom(many).mean).toBeGreaterThan(learnedFrom(few).mean);
      expect(learnedFrom(many).variance).toBeLessThan(learnedFrom(few).variance);
    }
    expect(learnedFrom(1000).mean).toBeCloseTo(5, 1);
  });
});

describe('what a fitting says', () => {
  it('foot plus room is the true inside; both feet of a pair are one fitting', () => {
    const foot = { size: 42, width: 'D' as const, footLengthMm: 262, ballWidthMm: null, widthFit: null };
    // EU 42 is a last of 280 mm: 262 + 12 are 274, six less than the label.
    expect(lengthOffsetSeen(sizing, [{ ...foot, roomMm: 12 }])).toBeCloseTo(-6, 9);
    expect(
      lengthOffsetSeen(sizing, [
        { ...foot, roomMm: 12 },
        { ...foot, footLengthMm: 260, roomMm: 12 },
      ]),
    ).toBeCloseTo(-7, 9);
    expect(lengthOffsetSeen(sizing, [{ ...foot, roomMm: null }])).toBeNull();
  });

  it('the clinic’s own scatter takes the place of the assumed error as fittings add up', () => {
    expect(readingVariance([scatterOf([1])])).toBe(ROOM_ERROR_MM ** 2);
    const exact = Array.from({ length: 400 }, (_, at) => (at % 2 === 0 ? 0.5 : -0.5));
    expect(readingVariance([scatterOf(exact)])).toBeLessThan(1);
  });

  it('the normal curve equals a general library’s to its table’s four figures', () => {
    for (let z = -3; z <= 3; z += 0.25)
      expect(normalBelow(z)).toBeCloseTo(cumulativeStdNormalProbability(z), 3);
  });

  it('slope and curvature of a width verdict equal differences of its log-likelihood', () => {
    const share = (fit: string, slack: number) => {
      const below = (edge: number) => normalBelow((edge - slack) / WIDTH_ERROR_MM);
      return fit === 'tight'
        ? below(0)
        : fit === 'loose'
          ? 1 - below(LOOSE_FROM_MM)
          : below(LOOSE_FROM_MM) - below(0);
    };
    for (const fit of ['tight', 'right', 'loose'] as const)
      for (const slack of [-3, 0, 2.5, 5, 8]) {
        const h = 0.05;
        const at = (offset: number) => Math.log(share(fit, slack + offset));
        const { slope, curvature } = widthScore(fit, slack, 0);
        expect(slope).toBeCloseTo((at(h) - at(-h)) / (2 * h), 2);
        expect(-curvature).toBeCloseTo((at(h) - 2 * at(0) + at(-h)) / h ** 2, 2);
      }
  });
});

describe('a try-on as a fitting', () => {
  const picture = clinicalPicture({ left: { footLength: 262, ballWidth: 99 }, right: { footLength: 260 } });
  const tried = { model: 'v', sizeLeft: 42, sizeRight: 42, width: 'D' };

  it('teaches with each measured foot in the size it stood in', () => {
    const fitting = fitObservationOf(
      { ...tried, left: { roomMm: 11 }, right: { widthFit: 'loose' } },
      picture,
    )!;
    expect(fitting).toEqual({
      version: 'v',
      feet: [
        {
          size: 42,
          width: 'D',
          footLengthMm: 262,
          ballWidthMm: 99,
          roomMm: 11,
          widthFit: null,
          heelBallMm: null,
          bend: null,
        },
        {
          size: 42,
          width: 'D',
          footLengthMm: 260,
          ballWidthMm: null,
          roomMm: null,
          widthFit: 'loose',
          heelBallMm: null,
          bend: null,
        },
      ],
    });
  });

  it('teaches nothing without a size, a measured foot, or anything read', () => {
    expect(fitObservationOf({ model: 'v', left: { roomMm: 11 } }, picture)).toBeNull();
    expect(fitObservationOf({ ...tried, left: { roomMm: 11 } }, clinicalPicture())).toBeNull();
    expect(fitObservationOf({ ...tried, left: { heelSlip: 'clear' }, comfort: 40 }, picture)).toBeNull();
  });
});

describe('learning from try-ons', () => {
  /** One simulated clinic: families with true offsets, unequal numbers of fittings, noisy readings. */
  function simulate(seed: number) {
    const normal = normals(seed);
    const source = xoroshiro128plus(seed + 77_777);
    const versions: LabelledVersion[] = [];
    const truth = new Map<string, { length: number; width: number }>();
    const fittings: FitObservation[] = [];
    const rightOf = (slack: number) => (slack < 0 ? 'tight' : slack > LOOSE_FROM_MM ? 'loose' : 'right');
    for (let maker = 0; maker < 3; maker += 1) {
      const ofMaker = [LENGTH_SPREAD.maker * normal(), WIDTH_SPREAD.maker * normal()] as const;
      for (let model = 0; model < 3; model += 1) {
        const ofModel = [
          ofMaker[0] + LENGTH_SPREAD.model * normal(),
          ofMaker[1] + WIDTH_SPREAD.model * normal(),
        ] as const;
        for (let version = 0; version < 2; version += 1) {
          const id = `${maker}.${model}.${version}`;
          const length = ofModel[0] + LENGTH_SPREAD.version * normal();
          const width = ofModel[1] + WIDTH_SPREAD.version * normal();
          versions.push({ id, maker: `k${maker}`, name: `m${model}`, sizing });
          truth.set(id, { length, width });
          const count = Math.floor(uniformFloat64(source) * 7);
          for (let at = 0; at < count; at += 1) {
            const footLengthMm = 255 + 20 * uniformFloat64(source);
            const size = 42;
            const slack = 6 * normal() + 3;
            fittings.push({
              version: id,
              feet: [
                {
                  size,
                  width: 'D',
                  footLengthMm,
                  ballWidthMm: insideWidth(sizing, size, 'D') + UPPER_GIVES_MM - slack,
                  roomMm: 280 + length - footLengthMm + ROOM_ERROR_MM * normal(),
                  widthFit: rightOf(slack + width + WIDTH_ERROR_MM * normal()),
                },
              ],
            });
          }
        }
      }
    }
    return { versions, truth, fittings };
  }

  it('recovers a simulated truth with calibrated intervals: 95 % cover between 92 and 98 % over 1,000 seeds', () => {
    let inside = { length: 0, width: 0 };
    let all = 0;
    let error = 0;
    let untaught = 0;
    for (let seed = 1; seed <= 1000; seed += 1) {
      const { versions, truth, fittings } = simulate(seed);
      const learned = learnOffsets(versions, fittings);
      for (const [id, true_] of truth) {
        const fit = learned.get(id)!;
        const within = (of: 'length' | 'width') => {
          const [from, to] = interval95(fit[of]);
          return true_[of] >= from && true_[of] <= to ? 1 : 0;
        };
        inside = { length: inside.length + within('length'), width: inside.width + within('width') };
        error += (fit.length.meanMm - true_.length) ** 2;
        untaught += true_.length ** 2;
        all += 1;
      }
    }
    for (const of of ['length', 'width'] as const) {
      expect(inside[of] / all, of).toBeGreaterThan(0.92);
      expect(inside[of] / all, of).toBeLessThan(0.98);
    }
    // And it is worth learning: the label alone is off by more than twice as much, squared.
    expect(error / untaught).toBeLessThan(0.45);
  });

  it('tight verdicts say narrow, loose ones wide, and none says nothing', () => {
    const version: LabelledVersion = { id: 'v', maker: 'k', name: 'm', sizing };
    const learnedFrom = (widthFit: 'tight' | 'right' | 'loose' | null, ballWidthMm = 98) =>
      learnOffsets(
        [version],
        Array.from({ length: 4 }, () => ({
          version: 'v',
          feet: [{ size: 42, width: 'D' as const, footLengthMm: 262, ballWidthMm, roomMm: null, widthFit }],
        })),
      ).get('v')!.width;
    expect(learnedFrom('tight').meanMm).toBeLessThan(-1);
    expect(learnedFrom('loose').meanMm).toBeGreaterThan(1);
    expect(learnedFrom(null).meanMm).toBe(0);
    expect(learnedFrom(null).sdMm).toBeGreaterThan(learnedFrom('right').sdMm);
  });

  it('a size starts from what was learned, and says it with its uncertainty', () => {
    const version: LabelledVersion = { id: 'v', maker: 'k', name: 'm', sizing };
    const fit = learnOffsets(
      [version],
      Array.from({ length: 6 }, () => ({
        version: 'v',
        feet: [
          { size: 42, width: 'D' as const, footLengthMm: 262, ballWidthMm: null, roomMm: 12, widthFit: null },
        ],
      })),
    ).get('v')!;
    expect(withLearned(sizing, fit).lengthOffsetMm).toBeCloseTo(fit.length.meanMm, 9);
    expect(offsetInWords('length', fit.length)).toMatch(
      /^runs 5\.\d mm short \(95 %: −\d\.\d to −\d\.\d mm\), 6 fittings$/,
    );
    expect(offsetInWords('width', fit.width)).toBe('width as labelled (95 %: −4.6 to 4.6 mm), 6 fittings');
  });
});
