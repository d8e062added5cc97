import type { ShoeModel } from '../match/model';
import { stockOf } from '../match/model';
import type { Ranked } from '../match/rank';
import type { Result } from '../result';
import type { SizedPair } from '../sizing/size-pair';

export type WayOut =
  | { kind: 'fetch' | 'order'; id: string; label: string }
  | { kind: 'refer'; sentence: string };

/** How many pairs are offered. */
const OFFERED = 3;

/** Both shoes of a sized pair stand on the shelf: a split pair needs two boxes. */
export function isOnShelf(model: ShoeModel, pair: SizedPair): boolean {
  const sides = [pair.left, pair.right].filter((side) => side !== null);
  return sides.every((side) => stockOf(model, side.size, side.width) > 0);
}

/**
 * What to do when nothing of what was brought fits: untried pairs on the shelf, then pairs that are made in the size needed
 * and can be ordered, and where the makers have nothing, somebody who builds shoes.
 */
export function waysOut(
  ranked: readonly Ranked[],
  models: ReadonlyMap<string, ShoeModel>,
  sizeOf: (model: ShoeModel) => Result<SizedPair>,
  tried: ReadonlySet<string>,
): WayOut[] {
  const left = ranked.flatMap(({ id }) => {
    const model = models.get(id)!;
    if (tried.has(id)) return [];
    const sized = sizeOf(model);
    return sized.ok ? [{ id, model, pair: sized.value }] : [];
  });
  const shelf = left.filter(({ model, pair }) => isOnShelf(model, pair));
  const order = left.filter(({ model, pair }) => model.status === 'current' && !isOnShelf(model, pair));
  const offers: WayOut[] = [
    ...shelf.slice(0, OFFERED).map(({ id, pair }): WayOut => ({ kind: 'fetch', id, label: pair.label })),
    ...order.slice(0, OFFERED).map(({ id, pair }): WayOut => ({ kind: 'order', id, label: pair.label })),
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
