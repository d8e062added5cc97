import type { ShoeModel } from '../catalogue/model';
import { candidatesOf } from '../match/candidates';
import type { Ranked } from '../match/rank';
import type { Result } from '../result/result';
import type { SizedPair } from '../sizing/size-pair';

export type FittingFallback =
  | { kind: 'fetch' | 'order'; id: string; label: string }
  | { kind: 'refer'; sentence: string };

/** How many pairs are offered. */
const OFFERED = 3;

/**
 * What to do when nothing of what was brought fits: untried pairs on the shelf, then pairs that are made in the size needed
 * and can be ordered, and where the makers have nothing, somebody who builds shoes.
 */
export function fittingFallbacks(
  ranked: readonly Ranked[],
  models: ReadonlyMap<string, ShoeModel>,
  sizeOf: (model: ShoeModel) => Result<SizedPair>,
  tried: ReadonlySet<string>,
): FittingFallback[] {
  const left = candidatesOf(
    ranked.filter(({ id }) => !tried.has(id)),
    models,
    sizeOf,
  ).usable;
  const offer = (kind: 'fetch' | 'order', of: typeof left): FittingFallback[] =>
    of.slice(0, OFFERED).map(({ model, pair }) => ({ kind, id: model.id, label: pair?.label ?? '' }));
  const offers: FittingFallback[] = [
    ...offer(
      'fetch',
      left.filter(({ onShelf }) => onShelf > 0),
    ),
    ...offer(
      'order',
      left.filter(({ onShelf }) => onShelf === 0),
    ),
  ];
  if (offers.length === 0)
    offers.push({
      kind: 'refer',
      sentence:
        'No model within the limits is made in this size and width: refer to an orthopaedic shoemaker.',
    });
  else if (left.length <= 2)
    offers.push({
      kind: 'refer',
      sentence: 'Little is left within the limits: an orthopaedic shoemaker is the next step if these fail.',
    });
  return offers;
}
