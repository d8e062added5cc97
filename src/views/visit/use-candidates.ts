import { useMemo } from 'react';
import type { CatalogueQuery } from '@/core/catalogue/filter';
import type { ShoeModel } from '@/core/catalogue/model';
import { type Candidate, candidatesOf } from '@/core/match/candidates';
import { type Lineage, lineageOf } from '@/core/match/lineage';
import { onFootReader } from '@/core/match/on-foot';
import type { Excluded, Ranked } from '@/core/match/rank';
import type { Result } from '@/core/result/result';
import { pairSizer, type SizedPair } from '@/core/sizing/size-pair';
import { pairsNamed } from '@/core/visit/pairs-named';
import { useModels } from '../use-models';
import { useRanking } from './use-ranking';
import { useStand } from './use-stand';
import { useVisit } from './visit-context';

export interface CandidatesView {
  /** Best first; only from the shelf where that was asked. */
  usable: Candidate[];
  /** Everything within the limits, best first, wherever it is. */
  ranked: readonly Ranked[];
  excluded: Excluded[];
  noSize: { model: ShoeModel; message: string }[];
  byId: ReadonlyMap<string, ShoeModel>;
  /** How each model stands to the pairs that served or failed. */
  lineage: Lineage;
  sizeOf: (model: ShoeModel) => Result<SizedPair>;
  /** Reads a shoe on the prosthetic foot; null without one. */
  onFoot: ReturnType<typeof onFootReader>;
}

/** The catalogue against this visit: ranked in a worker, sized for both feet, with what stands on the shelf. */
export function useCandidates(): {
  candidates: CandidatesView | null;
  /** What went wrong, and how to try again. */
  problem: string | null;
  retry: () => void;
} {
  const { specification, picture, visit, state, verdictContext } = useVisit();
  const catalogue = useModels();
  const { models, read } = catalogue;
  const { conditions, mostPrice, inStockOnly } = state.steps.candidates.content;
  const group = visit.patient.sizingGroup;
  const query = useMemo(
    (): CatalogueQuery => ({ group, ...(mostPrice === undefined ? {} : { mostPrice }) }),
    [group, mostPrice],
  );
  const named = state.steps.ask.content.before;
  const brought = state.steps['old-pair'].content.pairs;
  const before = useMemo(
    () => pairsNamed(named ?? [], brought ?? [], verdictContext),
    [named, brought, verdictContext],
  );
  const stand = useStand();
  const ranked = useRanking(read, specification, query, before, stand);
  const ranking = ranked.answer;
  const candidates = useMemo((): CandidatesView | null => {
    if (!models || !ranking) return null;
    const { ranked, excluded } = ranking;
    const byId = new Map(models.map((model) => [model.id, model]));
    const sizeOf = pairSizer(picture, specification, conditions);
    const { usable, noSize } = candidatesOf(ranked, byId, sizeOf);
    return {
      usable: inStockOnly ? usable.filter(({ onShelf }) => onShelf > 0) : usable,
      ranked,
      excluded,
      noSize,
      byId,
      lineage: lineageOf(models, before),
      sizeOf,
      onFoot: onFootReader(stand),
    };
  }, [models, ranking, picture, specification, conditions, inStockOnly, before, stand]);
  const failed = catalogue.problem === null ? ranked : catalogue;
  return { candidates, problem: failed.problem, retry: failed.retry };
}
