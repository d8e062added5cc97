import type { ShoeModel } from '@/core/match/model';
import { type Ranking, rank } from '@/core/match/rank';
import type { Specification } from '@/core/prescribe/specification';

/** The catalogue is sent once, then one specification after the other. */
export type RankRequest = { models: ShoeModel[] } | { id: number; specification: Specification };
export interface RankAnswer {
  id: number;
  ranking: Ranking;
}

let models: ShoeModel[] = [];

/** Ranks a catalogue off the main thread. */
self.onmessage = ({ data }: MessageEvent<RankRequest>) => {
  if ('models' in data) {
    models = data.models;
    return;
  }
  const answer: RankAnswer = { id: data.id, ranking: rank(models, data.specification) };
  self.postMessage(answer);
};
