import type { ShoeModel } from '@/core/match/model';
import { type Ranking, rank } from '@/core/match/rank';
import type { Specification } from '@/core/prescribe/specification';

export interface RankRequest {
  id: number;
  models: ShoeModel[];
  specification: Specification;
}
export interface RankAnswer {
  id: number;
  ranking: Ranking;
}

/** Ranks a catalogue off the main thread. */
self.onmessage = ({ data }: MessageEvent<RankRequest>) => {
  const answer: RankAnswer = { id: data.id, ranking: rank(data.models, data.specification) };
  self.postMessage(answer);
};
