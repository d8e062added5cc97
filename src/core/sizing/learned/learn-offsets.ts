import { type FitObservation, type LabelledVersion, label } from './fit-evidence';
import { foldOffset } from './fold-evidence';
import type { LearnedFit, LearnedOffset } from './learned-fit';
import { readingVariance, type Scatter, scatterOf } from './length-evidence';
import { LENGTH_SPREAD, MakerOffsets, WIDTH_SPREAD } from './maker-offsets';
import { type FamilySpread, type OffsetPosterior, offsetPosterior } from './offset-tree';

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

/** Newton steps at most; the posterior is log-concave, so they end early, once nothing moves by more than this. */
const STEPS = 8;
const STILL_MM = 0.01;

/** A version's place: in the list of all, and in its maker's own. */
interface Place {
  place: number;
  maker: MakerOffsets;
  at: number;
  version: LabelledVersion;
}

/**
 * Learns the true inside of every version from a clinic's fittings, with its uncertainty, and goes on learning. A version is
 * shrunk towards its model, the model towards its maker, the maker towards zero, the less the more fittings there are. What a fitting
 * changes is worked out anew for its maker alone; the error of a reading, which all makers share, is summed up from what each
 * version keeps. In which order versions were told of changes no bit.
 */
export class OffsetLearner {
  readonly #places: readonly Place[];
  readonly #byId: ReadonlyMap<string, Place>;
  readonly #makers: readonly MakerOffsets[];
  /** Of each version's length readings, in the order of the versions. */
  readonly #scatter: Scatter[];

  constructor(versions: readonly LabelledVersion[]) {
    const lines = new Map<string, LabelledVersion[]>();
    for (const version of versions) {
      const line = lines.get(version.maker);
      if (line) line.push(version);
      else lines.set(version.maker, [version]);
    }
    const makers = new Map([...lines].map(([maker, line]) => [maker, new MakerOffsets(line)]));
    const next = new Map<MakerOffsets, number>();
    this.#places = versions.map((version, place) => {
      const maker = makers.get(version.maker)!;
      const at = next.get(maker) ?? 0;
      next.set(maker, at + 1);
      return { place, maker, at, version };
    });
    this.#byId = new Map(this.#places.map((place) => [place.version.id, place]));
    this.#makers = [...makers.values()];
    this.#scatter = versions.map(() => scatterOf([]));
  }

  /** All fittings of a version: they take the place of those told before. Of a version that nobody knows nothing is learned. */
  tell(version: string, fittings: readonly FitObservation[]): void {
    const place = this.#byId.get(version);
    if (place) this.#scatter[place.place] = place.maker.tell(place.at, fittings);
  }

  /** What is known by now of every version. */
  learned(): Map<string, LearnedFit> {
    const variance = readingVariance(this.#scatter);
    const steps = this.#widthSteps();
    // Where nothing of a maker was fitted, all of it is as nobody knows.
    const lengths = new Map<MakerOffsets, OffsetPosterior>();
    for (const maker of this.#makers) if (maker.fittings > 0) lengths.set(maker, maker.lengths(variance));
    const learned = new Map<string, LearnedFit>();
    for (const place of this.#places) {
      const length = lengths.get(place.maker);
      learned.set(place.version.id, length ? fitAt(place, length, steps) : UNSEEN_FIT);
    }
    return learned;
  }

  /** After how many steps no width of any maker moves any more. */
  #widthSteps(): number {
    for (let steps = 1; steps < STEPS; steps += 1)
      if (this.#makers.every((maker) => maker.fittings === 0 || maker.widthsMoved(steps) <= STILL_MM))
        return steps;
    return STEPS;
  }
}

function fitAt({ maker, at, version }: Place, length: OffsetPosterior, steps: number): LearnedFit {
  const { fittings, looked } = maker.toldOf(at);
  const meanMm = length.mean[at]!;
  return {
    length: { meanMm, sdMm: Math.sqrt(length.variance[at]!), fittings, relatives: maker.fittings - fittings },
    width: maker.widthsAfter(steps)[at]!,
    fold:
      looked.length === 0
        ? null
        : foldOffset(
            { ...label(version.sizing), lengthOffsetMm: meanMm },
            version.foldPercent ?? null,
            looked,
          ),
  };
}

/** What all fittings of a clinic teach about the true inside of every version. */
export function learnOffsets(
  versions: readonly LabelledVersion[],
  fittings: readonly FitObservation[],
): Map<string, LearnedFit> {
  const learner = new OffsetLearner(versions);
  for (const [version, own] of byVersion(fittings)) learner.tell(version, own);
  return learner.learned();
}

/** Fittings under the version they are of, in their order. */
export function byVersion(fittings: readonly FitObservation[]): Map<string, FitObservation[]> {
  const under = new Map<string, FitObservation[]>();
  for (const fitting of fittings) {
    const of = under.get(fitting.version);
    if (of) of.push(fitting);
    else under.set(fitting.version, [fitting]);
  }
  return under;
}
