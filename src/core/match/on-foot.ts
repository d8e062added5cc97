import type { ShoeModel } from '../catalogue/model';
import { type OnFoot, type ProstheticFoot, readerOnFoot, verdictOnFoot } from '../prosthesis/on-this-foot';
import type { ShankTolerance } from '../prosthesis/shank-alignment';
import type { Excluded, Ranking } from './rank';

/** A prosthetic foot, and how much may remain on it. */
export interface FootToStandOn {
  foot: ProstheticFoot;
  tolerance?: ShankTolerance | undefined;
}

/** Reads shoes on a foot; null where there is no prosthesis. */
export const onFootReader = (
  stand: FootToStandOn | null,
): ((model: Pick<ShoeModel, 'features'>) => OnFoot) | null =>
  stand && readerOnFoot(stand.foot, stand.tolerance);

/** A ranking without what this foot cannot stand in; each says why. Without a prosthesis nothing changes. */
export function standing(
  { ranked, excluded }: Ranking,
  models: readonly ShoeModel[],
  stand: FootToStandOn | null,
): Ranking {
  const read = onFootReader(stand);
  if (!read) return { ranked, excluded };
  const byId = new Map(models.map((model) => [model.id, model]));
  const stays: Ranking['ranked'] = [];
  const out: Excluded[] = [];
  for (const entry of ranked) {
    const model = byId.get(entry.id);
    const refusals = model ? read(model).refusals : [];
    if (refusals.length === 0) stays.push(entry);
    else
      out.push({
        id: entry.id,
        // Without their full stops: sentences of limits stand in a row.
        by: refusals.map(({ feature, sentence }) => ({ feature, sentence: sentence.replace(/\.$/, '') })),
      });
  }
  return { ranked: stays, excluded: [...excluded, ...out] };
}

/** Whether a shoe may be proposed on a foot: what the prosthetist decides, and what nobody has measured, is not. */
export const mayStand = (on: OnFoot): boolean => ['fine', 'caution', 'set-ankle'].includes(verdictOnFoot(on));
