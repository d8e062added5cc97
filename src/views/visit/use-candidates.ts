import { useMemo } from 'react';
import type { CatalogueQuery } from '@/core/match/filter';
import { pairsInStock, type ShoeModel } from '@/core/match/model';
import type { Excluded, Ranked } from '@/core/match/rank';
import { numberAt } from '@/core/picture/clinical-picture';
import { SIDES } from '@/core/picture/finding-kinds';
import type { Result } from '@/core/result';
import { type SizedPair, sizePair } from '@/core/sizing/size-pair';
import { isOnShelf } from '@/core/tryon/ways-out';
import { useModels } from './use-models';
import { useRanking } from './use-ranking';
import { useVisit } from './visit-context';

export interface Candidate {
  entry: Ranked;
  model: ShoeModel;
  /** Null until a foot is measured. */
  pair: SizedPair | null;
  onShelf: boolean;
}

export interface Candidates {
  /** Best first; with a size where the feet are measured. */
  usable: Candidate[];
  excluded: Excluded[];
  /** Within the limits, but not made in the size needed. */
  noSize: { model: ShoeModel; message: string }[];
  byId: ReadonlyMap<string, ShoeModel>;
  sizeOf: (model: ShoeModel) => Result<SizedPair>;
  measured: boolean;
  considered: number;
}

/** The catalogue against this visit: ranked in a worker, sized for both feet, with what stands on the shelf. */
export function useCandidates(): { candidates: Candidates | null; problem: string | null } {
  const { specification, picture, visit, state } = useVisit();
  const { models, problem } = useModels();
  const { conditions, mostPrice, inStockOnly } = state.steps.candidates.content as {
    conditions?: Parameters<typeof sizePair>[3];
    mostPrice?: number;
    inStockOnly?: boolean;
  };
  const group = visit.patient.sizingGroup;
  const offered = useMemo(
    () =>
      // What is no longer made is a candidate while pairs of it stand there.
      models?.filter((model) => model.status === 'current' || pairsInStock(model) > 0) ?? null,
    [models],
  );
  const query = useMemo(
    (): CatalogueQuery => ({ group, ...(mostPrice === undefined ? {} : { mostPrice }) }),
    [group, mostPrice],
  );
  const ranking = useRanking(offered, specification, query);
  const candidates = useMemo((): Candidates | null => {
    if (!models || !ranking) return null;
    const byId = new Map(models.map((model) => [model.id, model]));
    const sizeOf = (model: ShoeModel) => sizePair(model.sizing, picture, specification, conditions);
    const measured = SIDES.some((side) => numberAt(picture, 'footLength', side) !== null);
    const usable: Candidate[] = [];
    const noSize: Candidates['noSize'] = [];
    for (const entry of ranking.ranked) {
      const model = byId.get(entry.id);
      if (!model) continue;
      const sized = sizeOf(model);
      const pair = sized.ok ? sized.value : null;
      const onShelf = pair ? isOnShelf(model, pair) : pairsInStock(model) > 0;
      if (measured && !sized.ok) noSize.push({ model, message: sized.problem.message });
      else if (measured && model.status === 'discontinued' && !onShelf)
        noSize.push({ model, message: 'No longer made, and not on the shelf in this size.' });
      else if (!inStockOnly || onShelf) usable.push({ entry, model, pair, onShelf });
    }
    const considered = ranking.ranked.length + ranking.excluded.length;
    return { usable, excluded: ranking.excluded, noSize, byId, sizeOf, measured, considered };
  }, [models, ranking, picture, specification, conditions, inStockOnly]);
  return { candidates, problem };
}
