import { type FitObservation, type LabelledVersion, label } from './fit-evidence';
import { foldOffset } from './fold-evidence';
import type { LearnedFit, LearnedFits, LearnedOffset } from './learned-fit';
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
  all: number;
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
  readonly #places: ReadonlyMap<string, Place>;
  readonly #makers: Map<string, MakerOffsets>;
  /** Of each version's length readings, in the order of the versions. */
  readonly #scatter: Scatter[];

  constructor(versions: readonly LabelledVersion[]) {
    const lines = new Map<string, LabelledVersion[]>();
    const places = new Map<string, Place>();
    for (const [all, version] of versions.entries()) {
      const line = lines.get(version.maker) ?? [];
      lines.set(version.maker, line);
      places.set(version.id, { all, at: line.length, version });
      line.push(version);
    }
    this.#places = places;
    this.#makers = new Map([...lines].map(([maker, line]) => [maker, new MakerOffsets(line)]));
    this.#scatter = versions.map(() => scatterOf([]));
  }

  /**
   * All fittings of some versions: they take the place of those told before. Of a version that nobody knows nothing is learned.
   *
   * @param fittings by version
   */
  tell(fittings: ReadonlyMap<string, readonly FitObservation[]>): void {
    const byMaker = new Map<string, Map<Place, readonly FitObservation[]>>();
    for (const [id, own] of fittings) {
      const place = this.#places.get(id);
      if (!place) continue;
      const { maker } = place.version;
      const changes = byMaker.get(maker) ?? new Map<Place, readonly FitObservation[]>();
      byMaker.set(maker, changes.set(place, own));
    }
    for (const [maker, changes] of byMaker) {
      const all = new Map([...changes.keys()].map((place) => [place.at, place.all]));
      const told = new Map([...changes].map(([{ at }, own]) => [at, own]));
      const before = this.#makers.get(maker)!;
      this.#makers.set(
        maker,
        before.told(told, (at, scatter) => {
          this.#scatter[all.get(at)!] = scatter;
        }),
      );
    }
  }

  /** What is known by now, worked out maker by maker where it is asked; what is told later does not change it. */
  learned(): LearnedFits {
    const variance = readingVariance(this.#scatter);
    const steps = this.#widthSteps();
    const makers = new Map(this.#makers);
    const lengths = new Map<MakerOffsets, OffsetPosterior>();
    return {
      get: (version) => {
        const place = this.#places.get(version);
        const maker = place && makers.get(place.version.maker);
        if (!maker) return undefined;
        // Where nothing of a maker was fitted, all of it is as nobody knows.
        if (maker.fittings === 0) return UNSEEN_FIT;
        const length = lengths.get(maker) ?? maker.lengths(variance);
        lengths.set(maker, length);
        return fitAt(place, maker, length, steps);
      },
    };
  }

  /** After how many steps no width of any maker moves any more. */
  #widthSteps(): number {
    const makers = [...this.#makers.values()];
    for (let steps = 1; steps < STEPS; steps += 1)
      if (makers.every((maker) => maker.fittings === 0 || maker.widthsMoved(steps) <= STILL_MM)) return steps;
    return STEPS;
  }
}

function fitAt(
  { at, version }: Place,
  maker: MakerOffsets,
  length: OffsetPosterior,
  steps: number,
): LearnedFit {
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
  learner.tell(byVersion(fittings));
  const learned = learner.learned();
  return new Map(versions.map(({ id }) => [id, learned.get(id) ?? UNSEEN_FIT]));
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
