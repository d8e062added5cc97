import { pairsInStock, type ShoeModel } from '../catalogue/model';
import { pairsOnShelf } from '../catalogue/shelf';
import type { Result } from '../result/result';
import type { SizedPair } from '../sizing/size-pair';
import { type Proposal, proposeTrial } from './propose';
import type { Ranked } from './rank';

/** A model within the limits, in the size that these feet need. */
export interface Candidate {
  entry: Ranked;
  model: ShoeModel;
  /** Null until a foot is measured. */
  pair: SizedPair | null;
  /** Pairs on the shelf in that size; of any size until a foot is measured. */
  onShelf: number;
}

export interface Candidates {
  /** Best first. */
  usable: Candidate[];
  /** Within the limits, but not to be had in the size needed. */
  noSize: { model: ShoeModel; message: string }[];
}

/** Models that can be had at all: made now, or still on the shelf in some size. */
export const obtainable = (models: readonly ShoeModel[]): ShoeModel[] =>
  models.filter((model) => model.status === 'current' || pairsInStock(model) > 0);

/**
 * Those of a ranking that can be had: made in the size needed and, when no longer made, still on the shelf in it. Feet
 * that nobody measured exclude nothing.
 */
export function candidatesOf(
  ranked: readonly Ranked[],
  models: ReadonlyMap<string, ShoeModel>,
  sizeOf: (model: ShoeModel) => Result<SizedPair>,
): Candidates {
  const usable: Candidate[] = [];
  const noSize: Candidates['noSize'] = [];
  for (const entry of ranked) {
    const model = models.get(entry.id);
    if (!model) continue;
    const sized = sizeOf(model);
    if (!sized.ok && sized.problem.code !== 'not-measured') {
      noSize.push({ model, message: sized.problem.message });
      continue;
    }
    const pair = sized.ok ? sized.value : null;
    const onShelf = pair ? pairsOnShelf(model, [pair.left, pair.right]) : pairsInStock(model);
    if (model.status === 'discontinued' && onShelf === 0)
      noSize.push({ model, message: 'No longer made, and not on the shelf in this size.' });
    else usable.push({ entry, model, pair, onShelf });
  }
  return { usable, noSize };
}

/** Three to feel today: from the shelf, where two or more there teach something; else those to order. */
export function proposeFrom(
  usable: readonly Candidate[],
  models: ReadonlyMap<string, ShoeModel>,
): Proposal[] {
  const ranked = (of: readonly Candidate[]) => of.map(({ entry }) => entry);
  const here = proposeTrial(ranked(usable.filter(({ onShelf }) => onShelf > 0)), models);
  return here.length >= 2 ? here : proposeTrial(ranked(usable), models);
}
