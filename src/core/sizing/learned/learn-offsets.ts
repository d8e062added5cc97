import { insideLength, insideWidth, type ModelSizing, UPPER_GIVES_MM } from '../start-size';
import type { WidthLetter } from '../widths';
import { foldOffset } from './fold-evidence';
import { readingVariance } from './length-evidence';
import { type FamilySpread, familiesOf, type OffsetPosterior, offsetPosterior } from './offset-tree';
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
  const nothing = { mean: new Float64Array(1), precision: new Float64Array(1) };
  const { mean, variance } = offsetPosterior([[[0]]], nothing, spread);
  return { meanMm: mean[0]!, sdMm: Math.sqrt(variance[0]!), fittings: 0, relatives: 0 };
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
  const families = familiesOf(fitted.map((version) => ({ maker: version.maker, model: modelKey(version) })));
  const length = lengthPosterior(fitted, byVersion, families);
  const width = widthPosterior(fitted, byVersion, families);
  const perMaker = new Map<string, number>();
  for (const { id, maker } of versions)
    perMaker.set(maker, (perMaker.get(maker) ?? 0) + (byVersion.get(id)?.length ?? 0));
  const learned = new Map<string, LearnedFit>(versions.map(({ id }) => [id, UNSEEN_FIT]));
  for (const [at, { id, maker, sizing, foldPercent = null }] of fitted.entries()) {
    const fittings = byVersion.get(id) ?? [];
    const counts = { fittings: fittings.length, relatives: perMaker.get(maker)! - fittings.length };
    const offset = ({ mean, variance }: OffsetPosterior): LearnedOffset => ({
      meanMm: mean[at]!,
      sdMm: Math.sqrt(variance[at]!),
      ...counts,
    });
    const ofLength = offset(length);
    learned.set(id, {
      length: ofLength,
      width: offset(width),
      fold: foldOffset(
        { ...label(sizing), lengthOffsetMm: ofLength.meanMm },
        foldPercent,
        fittings.flatMap((fitting) => fitting.feet),
      ),
    });
  }
  return learned;
}

function lengthPosterior(
  versions: readonly LabelledVersion[],
  byVersion: ReadonlyMap<string, FitObservation[]>,
  families: ReturnType<typeof familiesOf>,
): OffsetPosterior {
  const seen = versions.map(({ id, sizing }) =>
    (byVersion.get(id) ?? []).flatMap(({ feet }) => lengthOffsetSeen(sizing, feet) ?? []),
  );
  const variance = readingVariance(seen);
  return offsetPosterior(
    families,
    {
      mean: Float64Array.from(seen, (offsets) => (offsets.length === 0 ? 0 : mean(offsets))),
      precision: Float64Array.from(seen, (offsets) => offsets.length / variance),
    },
    LENGTH_SPREAD,
  );
}

/** Newton steps at most; the posterior is log-concave, so they end early, once nothing moves by more than this. */
const STEPS = 8;
const STILL_MM = 0.01;
const LARGEST_STEP_MM = 4;

/** A word on the width of one foot, and how much slack its label left there. */
interface Verdict {
  fit: WidthFit;
  slack: number;
  /** Both feet of one pair are one fitting. */
  share: number;
}

const verdictsOn = ({ sizing }: LabelledVersion, fittings: readonly FitObservation[]): Verdict[] =>
  fittings.flatMap(({ feet }) =>
    feet.flatMap(({ size, width, ballWidthMm, widthFit }) =>
      ballWidthMm === null || widthFit === null
        ? []
        : [
            {
              fit: widthFit,
              slack: insideWidth(label(sizing), size, width) + UPPER_GIVES_MM - ballWidthMm,
              share: 1 / feet.length,
            },
          ],
    ),
  );

function widthPosterior(
  versions: readonly LabelledVersion[],
  byVersion: ReadonlyMap<string, FitObservation[]>,
  families: ReturnType<typeof familiesOf>,
): OffsetPosterior {
  const judged = versions.flatMap((version, at) => {
    const verdicts = verdictsOn(version, byVersion.get(version.id) ?? []);
    return verdicts.length === 0 ? [] : [{ at, verdicts }];
  });
  let here: OffsetPosterior = {
    mean: new Float64Array(versions.length),
    variance: new Float64Array(versions.length),
  };
  for (let step = 0, moved = Number.POSITIVE_INFINITY; step < STEPS && moved > STILL_MM; step += 1) {
    const evidence = { mean: Float64Array.from(here.mean), precision: new Float64Array(versions.length) };
    for (const { at, verdicts } of judged) {
      let slope = 0;
      let precision = 0;
      for (const { fit, slack, share } of verdicts) {
        const score = widthScore(fit, slack, here.mean[at]!);
        slope += share * score.slope;
        precision += share * score.curvature;
      }
      const move = precision === 0 ? 0 : slope / precision;
      evidence.mean[at]! += Math.max(-LARGEST_STEP_MM, Math.min(LARGEST_STEP_MM, move));
      evidence.precision[at] = precision;
    }
    const next = offsetPosterior(families, evidence, WIDTH_SPREAD);
    moved = next.mean.reduce((most, to, at) => Math.max(most, Math.abs(to - here.mean[at]!)), 0);
    here = next;
  }
  return here;
}

/** A sizing that starts from what was learned. */
export const withLearned = (sizing: ModelSizing, fit: LearnedFit): ModelSizing => ({
  ...sizing,
  lengthOffsetMm: fit.length.meanMm,
  widthOffsetMm: fit.width.meanMm,
  ...(fit.fold ? { foldOffsetMm: fit.fold.meanMm } : {}),
});
