import { type FitContext, isStopped } from './fit-advice';
import { comfortOf, REAL_COMFORT, type TryOn } from './try-on';

/** Where a fitting stands. */
export interface FittingOutcome {
  /** The most comfortable of the pairs that no check stops; null while none of those is rated. */
  best: TryOn | null;
  /** Its lead over the next is a real difference. */
  clear: boolean;
  /** All tried pairs are stopped or rejected. */
  nothingFits: boolean;
  sentence: string;
}

/** What is known about one pair: the pair and what its advice may draw on. */
export interface TriedPair {
  tryOn: TryOn;
  context: FitContext;
}

const wasTried = ({ left, right, comfort, verdict }: TryOn): boolean =>
  comfort !== undefined || verdict !== undefined || left !== undefined || right !== undefined;

/** Comfort decides among the pairs that pass. */
export function fittingOutcome(pairs: readonly TriedPair[]): FittingOutcome {
  const tried = pairs.filter(({ tryOn }) => wasTried(tryOn));
  const passing = tried.filter(
    ({ tryOn, context }) => tryOn.verdict !== 'rejected' && !isStopped(tryOn, context),
  );
  const rated = passing
    .flatMap(({ tryOn }) => {
      const comfort = comfortOf(tryOn);
      return comfort === null ? [] : [{ tryOn, comfort }];
    })
    .toSorted((a, b) => b.comfort - a.comfort);
  const [first, second] = rated;
  const nothingFits = tried.length > 0 && passing.length === 0;
  const clear = first !== undefined && (!second || first.comfort - second.comfort >= REAL_COMFORT);
  return {
    best: first?.tryOn ?? null,
    clear,
    nothingFits,
    sentence: nothingFits
      ? 'None of these fits: try the next best, order, or refer.'
      : !first
        ? 'Ask for comfort, 0 to 100, in each pair that fits.'
        : clear
          ? 'The most comfortable of those that fit.'
          : `Less than ${REAL_COMFORT} points ahead: no real difference. Repeat both, or let another reason decide.`,
  };
}
