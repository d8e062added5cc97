import { Z_95 } from '../../statistics/normal';
import { insideLength, insideWidth, type ModelSizing, UPPER_GIVES_MM } from '../start-size';
import type { WidthLetter } from '../widths';
import { foldOffset } from './fold-evidence';
import { readingVariance } from './length-evidence';
import { type FamilySpread, type Gaussian, offsetPosterior, type VersionEvidence } from './offset-tree';
import { type WidthFit, widthScore } from './width-evidence';

/** One pair on one patient's feet, with what tells of the true inside. Both feet of a pair are one fitting. */
export interface FitObservation {
  version: string;
  feet: readonly FittedFoot[];
}
export interface FittedFoot {
  size: number;
  width: WidthLetter;
  footLengthMm: number;
  ballWidthMm: number | null;
  roomMm: number | null;
  widthFit: WidthFit | null;
  /** Where the shoe folded on this foot, and the ball it was held against; absent where nobody looked. */
  heelBallMm?: number | null;
  bend?: 'under-ball' | 'too-far-back' | null;
}

/** A version as the learning sees it: its family and what its label says. */
export interface LabelledVersion {
  id: string;
  maker: string;
  name: string;
  sizing: ModelSizing;
  /** Where it is said to fold, per cent from the heel. */
  foldPercent?: number | null;
}

/** True inside minus label, mm. */
export interface LearnedOffset {
  meanMm: number;
  sdMm: number;
  /** Fittings of this very version, and of its relatives (same maker). */
  fittings: number;
  relatives: number;
}

export interface LearnedFit {
  length: LearnedOffset;
  width: LearnedOffset;
  /** Of the fold, by looks at this very version; null where nobody looked. */
  fold: LearnedOffset | null;
}

/** How far relatives lie apart, mm. Assumptions of common practice, not published figures. */
export const LENGTH_SPREAD: FamilySpread = { maker: 2.5, model: 2, version: 1.5 };
export const WIDTH_SPREAD: FamilySpread = { maker: 1.5, model: 1.5, version: 1 };

const modelKey = ({ maker, name }: LabelledVersion): string => `${maker}\u0000${name}`;
const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

/** What one fitting says of the length offset: foot plus room is the true inside. Null when no room was read. */
export function lengthOffsetSeen(sizing: ModelSizing, feet: readonly FittedFoot[]): number | null {
  const seen = feet.flatMap((foot) =>
    foot.roomMm === null ? [] : [foot.footLengthMm + foot.roomMm - insideLength(label(sizing), foot.size)],
  );
  return seen.length === 0 ? null : mean(seen);
}

/** A sizing as the label has it, without what was learned. */
const label = (sizing: ModelSizing): ModelSizing => ({ ...sizing, lengthOffsetMm: 0, widthOffsetMm: 0 });

/** An offset before anything of its maker was fitted. */
function unseen(spread: FamilySpread): LearnedOffset {
  const nobodys = { id: '', maker: '', model: '', mean: 0, precision: 0 };
  const { mean: meanMm, variance } = offsetPosterior([nobodys], spread).versions.get('')!;
  return { meanMm, sdMm: Math.sqrt(variance), fittings: 0, relatives: 0 };
}
/** What is known of a version of whose maker nothing was fitted. */
export const UNSEEN_FIT: LearnedFit = {
  length: unseen(LENGTH_SPREAD),
  width: unseen(WIDTH_SPREAD),
  fold: null,
};

/**
 * What all fittings of a clinic teach about the true inside of every version, with its uncertainty. A version is
 * shrunk towards its model, the model towards its maker, the maker towards zero, the less the more fittings there are.
 */
export function learnOffsets(
  versions: readonly LabelledVersion[],
  fittings: readonly FitObservation[],
): Map<string, LearnedFit> {
  const byVersion = new Map<string, FitObservation[]>();
  for (const fitting of fittings) {
    const of = byVersion.get(fitting.version);
    if (of) of.push(fitting);
    else byVersion.set(fitting.version, [fitting]);
  }
  const makers = new Set(versions.filter(({ id }) => byVersion.has(id)).map(({ maker }) => maker));
  // Makers have nothing to say of each other: where nothing of one was fitted, all of it is as nobody knows.
  const fitted = versions.filter(({ maker }) => makers.has(maker));
  const length = lengthPosterior(fitted, byVersion);
  const width = widthPosterior(fitted, byVersion);
  const perMaker = new Map<string, number>();
  for (const { id, maker } of versions)
    perMaker.set(maker, (perMaker.get(maker) ?? 0) + (byVersion.get(id)?.length ?? 0));
  return new Map(
    versions.map(({ id, maker, sizing, foldPercent = null }) => {
      if (!makers.has(maker)) return [id, UNSEEN_FIT];
      const own = byVersion.get(id)?.length ?? 0;
      const learned = ({ mean: meanMm, variance }: Gaussian): LearnedOffset => ({
        meanMm,
        sdMm: Math.sqrt(variance),
        fittings: own,
        relatives: (perMaker.get(maker) ?? 0) - own,
      });
      const offset = learned(length.get(id)!);
      const fitted = { ...label(sizing), lengthOffsetMm: offset.meanMm };
      const feet = (byVersion.get(id) ?? []).flatMap((fitting) => fitting.feet);
      return [
        id,
        {
          length: offset,
          width: learned(width.get(id)!),
          fold: foldOffset(fitted, foldPercent, feet),
        },
      ];
    }),
  );
}

function lengthPosterior(
  versions: readonly LabelledVersion[],
  byVersion: ReadonlyMap<string, FitObservation[]>,
): ReadonlyMap<string, Gaussian> {
  const seen = new Map(
    versions.map(({ id, sizing }) => [
      id,
      (byVersion.get(id) ?? []).flatMap(({ feet }) => lengthOffsetSeen(sizing, feet) ?? []),
    ]),
  );
  const variance = readingVariance(seen);
  const evidence = versions.map((version): VersionEvidence => {
    const offsets = seen.get(version.id)!;
    return {
      id: version.id,
      maker: version.maker,
      model: modelKey(version),
      mean: offsets.length === 0 ? 0 : mean(offsets),
      precision: offsets.length / variance,
    };
  });
  return offsetPosterior(evidence, LENGTH_SPREAD).versions;
}

/** Newton steps at most; the posterior is log-concave, so they end early, once nothing moves by more than this. */
const STEPS = 8;
const STILL_MM = 0.01;
const LARGEST_STEP_MM = 4;

function widthPosterior(
  versions: readonly LabelledVersion[],
  byVersion: ReadonlyMap<string, FitObservation[]>,
): ReadonlyMap<string, Gaussian> {
  const verdicts = new Map(
    versions.map(({ id, sizing }) => [
      id,
      (byVersion.get(id) ?? []).flatMap(({ feet }) =>
        feet.flatMap(({ size, width, ballWidthMm, widthFit }) =>
          ballWidthMm === null || widthFit === null
            ? []
            : [
                {
                  fit: widthFit,
                  slack: insideWidth(label(sizing), size, width) + UPPER_GIVES_MM - ballWidthMm,
                  // Both feet of one pair are one fitting.
                  share: 1 / feet.length,
                },
              ],
        ),
      ),
    ]),
  );
  let at: ReadonlyMap<string, Gaussian> = new Map();
  for (let step = 0, moved = Number.POSITIVE_INFINITY; step < STEPS && moved > STILL_MM; step += 1) {
    const evidence = versions.map((version): VersionEvidence => {
      const here = at.get(version.id)?.mean ?? 0;
      let slope = 0;
      let precision = 0;
      for (const { fit, slack, share } of verdicts.get(version.id) ?? []) {
        const score = widthScore(fit, slack, here);
        slope += share * score.slope;
        precision += share * score.curvature;
      }
      const move = precision === 0 ? 0 : slope / precision;
      return {
        id: version.id,
        maker: version.maker,
        model: modelKey(version),
        mean: here + Math.max(-LARGEST_STEP_MM, Math.min(LARGEST_STEP_MM, move)),
        precision,
      };
    });
    const next = offsetPosterior(evidence, WIDTH_SPREAD).versions;
    moved = 0;
    for (const [id, { mean: to }] of next) moved = Math.max(moved, Math.abs(to - (at.get(id)?.mean ?? 0)));
    at = next;
  }
  return at;
}

/** A sizing that starts from what was learned. */
export const withLearned = (sizing: ModelSizing, fit: LearnedFit): ModelSizing => ({
  ...sizing,
  lengthOffsetMm: fit.length.meanMm,
  widthOffsetMm: fit.width.meanMm,
  ...(fit.fold ? { foldOffsetMm: fit.fold.meanMm } : {}),
});

/** Ends of the central 95 % interval, mm. */
export const interval95 = ({ meanMm, sdMm }: LearnedOffset): readonly [number, number] => [
  meanMm - Z_95 * sdMm,
  meanMm + Z_95 * sdMm,
];

/** Below this a mean is no more than rounding. */
const NOTHING_MM = 0.5;
const WAYS = { length: ['short', 'long'], width: ['narrow', 'wide'] } as const;
const one = (value: number): string => (Math.round(value * 10) / 10).toFixed(1).replace('-', '−');

/** An offset as people read it: `runs 3.1 mm short (95 %: −4.9 to −1.3), 7 fittings`. */
export function offsetInWords(of: 'length' | 'width', learned: LearnedOffset): string {
  const [from, to] = interval95(learned);
  const [less, more] = WAYS[of];
  const says =
    Math.abs(learned.meanMm) < NOTHING_MM
      ? `${of} as labelled`
      : `runs ${one(Math.abs(learned.meanMm))} mm ${learned.meanMm < 0 ? less : more}`;
  const count = (number: number, of: string) => `${number} ${of}${number === 1 ? '' : 's'}`;
  const from_ =
    learned.fittings > 0
      ? count(learned.fittings, 'fitting')
      : learned.relatives > 0
        ? `no fitting yet, after ${count(learned.relatives, 'fitting')} of this maker`
        : 'no fitting yet';
  return `${says} (95 %: ${one(from)} to ${one(to)} mm), ${from_}`;
}
