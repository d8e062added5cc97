import { type CatalogueRead, modelsOfCatalogue } from '@/core/catalogue/columns';
import { type CatalogueQuery, filterModels } from '@/core/catalogue/filter';
import type { ShoeModel } from '@/core/catalogue/model';
import type { PairBefore } from '@/core/history/before';
import { obtainable } from '@/core/match/candidates';
import { lineageOf } from '@/core/match/lineage';
import { type FootToStandOn, standing } from '@/core/match/on-foot';
import { type Ranking, rank } from '@/core/match/rank';
import type { Specification } from '@/core/prescribe/engine/specification';
import { fail, ok } from '@/core/result/result';
import { serve } from './task';

export interface RankQuestion {
  /** Sent with the first question, and again when the catalogue changed. */
  catalogue?: CatalogueRead;
  specification: Specification;
  query: CatalogueQuery;
  /** Pairs that served or failed this patient. */
  before: readonly PairBefore[];
  /** The prosthetic foot that stands in them; null without one. */
  stand: FootToStandOn | null;
}

let models: readonly ShoeModel[] | null = null;

/** Filters and ranks what of a catalogue can be had, off the main thread. A model that may satisfy the query, for all that is known, stays. */
serve<RankQuestion, Ranking>(({ catalogue, specification, query, before, stand }) => {
  if (catalogue) models = modelsOfCatalogue(catalogue);
  if (!models) return fail('no-catalogue', 'The catalogue has not been read yet.');
  const { matching, unknown } = filterModels(obtainable(models), query);
  const ranking = rank([...matching, ...unknown], specification, lineageOf(models, before));
  return ok(standing(ranking, models, stand));
});
