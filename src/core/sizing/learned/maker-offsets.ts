import { insideWidth, UPPER_GIVES_MM } from '../start-size';
import {
  type FitObservation,
  type FittedFoot,
  type LabelledVersion,
  label,
  lengthOffsetSeen,
} from './fit-evidence';
import type { LearnedOffset } from './learned-fit';
import { type Scatter, scatterOf } from './length-evidence';
import { type FamilySpread, familiesOf, type OffsetPosterior, offsetPosterior } from './offset-tree';
import { type WidthFit, widthScore } from './width-evidence';

/** How far relatives lie apart, mm. Assumptions of common practice, not published figures. */
export const LENGTH_SPREAD: FamilySpread = { maker: 2.5, model: 2, version: 1.5 };
export const WIDTH_SPREAD: FamilySpread = { maker: 1.5, model: 1.5, version: 1 };

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

/** What is kept of the fittings of one version. */
interface Told {
  fittings: number;
  verdicts: readonly Verdict[];
  /** Feet on which somebody looked where the shoe folds. */
  looked: readonly FittedFoot[];
}
const NOTHING: Told = { fittings: 0, verdicts: [], looked: [] };

interface WidthStep extends OffsetPosterior {
  /** How far the farthest version moved in it, mm. */
  moved: number;
}

interface State {
  told: Told[];
  /** Mean of each version's length readings, mm, and how many there are. */
  lengthMean: Float64Array;
  lengthReadings: Float64Array;
  fittings: number;
}

const empty = (many: number): State => ({
  told: new Array<Told>(many).fill(NOTHING),
  lengthMean: new Float64Array(many),
  lengthReadings: new Float64Array(many),
  fittings: 0,
});

/** What the fittings of one maker tell: makers have nothing to say of each other. It never changes; what it is told makes another. */
export class MakerOffsets {
  readonly #versions: readonly LabelledVersion[];
  readonly #families: ReturnType<typeof familiesOf>;
  readonly #state: State;
  /** Newton's steps towards the widths, as far as they were asked for. */
  readonly #widthSteps: WidthStep[] = [];
  /** Widths after so many steps, as they were last asked for. */
  #widths: { steps: number; offsets: readonly LearnedOffset[] } | null = null;

  /** @param versions of one maker */
  constructor(
    versions: readonly LabelledVersion[],
    families = familiesOf(versions.map(({ maker, name }) => ({ maker, model: name }))),
    state = empty(versions.length),
  ) {
    this.#versions = versions;
    this.#families = families;
    this.#state = state;
  }

  get fittings(): number {
    return this.#state.fittings;
  }

  /**
   * With all fittings of some versions, in place of those told before.
   *
   * @param changes fittings by the version's place in the list
   * @param noted hears how the length readings of each scatter
   */
  told(
    changes: ReadonlyMap<number, readonly FitObservation[]>,
    noted: (at: number, scatter: Scatter) => void,
  ): MakerOffsets {
    const { told, lengthMean, lengthReadings } = this.#state;
    const state = {
      told: [...told],
      lengthMean: lengthMean.slice(),
      lengthReadings: lengthReadings.slice(),
      fittings: this.fittings,
    };
    for (const [at, fittings] of changes) {
      const version = this.#versions[at]!;
      state.fittings += fittings.length - told[at]!.fittings;
      state.told[at] = {
        fittings: fittings.length,
        verdicts: verdictsOn(version, fittings),
        looked: fittings.flatMap(({ feet }) => feet.filter(({ bend }) => bend != null)),
      };
      const scatter = scatterOf(fittings.flatMap(({ feet }) => lengthOffsetSeen(version.sizing, feet) ?? []));
      state.lengthMean[at] = scatter.mean;
      state.lengthReadings[at] = scatter.readings;
      noted(at, scatter);
    }
    return new MakerOffsets(this.#versions, this.#families, state);
  }

  toldOf(at: number): Told {
    return this.#state.told[at]!;
  }

  /** @param variance of one reading, mm² */
  lengths(variance: number): OffsetPosterior {
    const { lengthMean, lengthReadings } = this.#state;
    return offsetPosterior(
      this.#families,
      { mean: lengthMean, precision: lengthReadings.map((readings) => readings / variance) },
      LENGTH_SPREAD,
    );
  }

  /** How far the farthest width moved in the last of so many of Newton's steps, mm. */
  widthsMoved(steps: number): number {
    return this.#widthStep(steps).moved;
  }

  /** Each version's width after so many of Newton's steps, one at least. */
  widthsAfter(steps: number): readonly LearnedOffset[] {
    if (this.#widths?.steps !== steps) {
      const { mean, variance } = this.#widthStep(steps);
      const offsets = this.#state.told.map(({ fittings }, at) => ({
        meanMm: mean[at]!,
        sdMm: Math.sqrt(variance[at]!),
        fittings,
        relatives: this.fittings - fittings,
      }));
      this.#widths = { steps, offsets };
    }
    return this.#widths.offsets;
  }

  #widthStep(steps: number): WidthStep {
    while (this.#widthSteps.length < steps) this.#widthSteps.push(this.#nextWidths());
    return this.#widthSteps[steps - 1]!;
  }

  #nextWidths(): WidthStep {
    const many = this.#versions.length;
    const here = this.#widthSteps.at(-1)?.mean ?? new Float64Array(many);
    const evidence = { mean: Float64Array.from(here), precision: new Float64Array(many) };
    for (const [at, { verdicts }] of this.#state.told.entries()) {
      if (verdicts.length === 0) continue;
      let slope = 0;
      let precision = 0;
      for (const { fit, slack, share } of verdicts) {
        const score = widthScore(fit, slack, here[at]!);
        slope += share * score.slope;
        precision += share * score.curvature;
      }
      const move = precision === 0 ? 0 : slope / precision;
      evidence.mean[at]! += Math.max(-LARGEST_STEP_MM, Math.min(LARGEST_STEP_MM, move));
      evidence.precision[at] = precision;
    }
    const next = offsetPosterior(this.#families, evidence, WIDTH_SPREAD);
    let moved = 0;
    for (let at = 0; at < many; at += 1) moved = Math.max(moved, Math.abs(next.mean[at]! - here[at]!));
    return { ...next, moved };
  }
}
