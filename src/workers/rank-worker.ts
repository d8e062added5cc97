import { type CatalogueQuery, filterModels } from '@/core/match/filter';
import type { ShoeModel } from '@/core/match/model';
import { type Ranking, rank } from '@/core/match/rank';
import type { Specification } from '@/core/prescribe/specification';

/** The catalogue is sent once, then one specification with its query after the other. */
export type RankRequest =
  | { models: ShoeModel[] }
  | { id: number; specification: Specification; query: CatalogueQuery };
export interface RankAnswer {
  id: number;
  ranking: Ranking;
}

let models: ShoeModel[] = [];

/** Filters and ranks a catalogue off the main thread. A model that may satisfy the query, for all that is known, stays. */
self.onmessage = ({ data }: MessageEvent<RankRequest>) => {
  if ('models' in data) {
    models = data.models;
    return;
  }
  const { matching, unknown } = filterModels(models, data.query);
  const answer: RankAnswer = { id: data.id, ranking: rank([...matching, ...unknown], data.specification) };
  self.postMessage(answer);
};
