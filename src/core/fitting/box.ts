import { type BoxLabel, pairsInStock, type ShoeModel } from '../catalogue/model';
import type { TryOn } from './try-on';

/**
 * What the box of the pair that is handed over says: what was typed at hand-over, else at the try-on, else what the shelf's last
 * delivery says, where any of it is still there.
 */
export function boxOf(
  typed: { batch?: string | undefined; madeOn?: string | undefined },
  tryOn: Pick<TryOn, 'batch' | 'madeOn'> | null,
  model: Pick<ShoeModel, 'boxes' | 'stock'> | undefined,
): BoxLabel {
  const shelf = model && pairsInStock(model) > 0 ? model.boxes : {};
  const batch = typed.batch ?? tryOn?.batch ?? shelf.batch;
  const madeOn = typed.madeOn ?? tryOn?.madeOn ?? shelf.madeOn;
  return { ...(batch ? { batch } : {}), ...(madeOn ? { madeOn } : {}) };
}
