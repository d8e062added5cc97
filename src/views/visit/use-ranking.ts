import { useMemo, useRef } from 'react';
import type { CatalogueRead } from '@/core/catalogue/columns';
import type { CatalogueQuery } from '@/core/catalogue/filter';
import type { PairBefore } from '@/core/history/before';
import type { FootToStandOn } from '@/core/match/on-foot';
import type { Ranking } from '@/core/match/rank';
import type { Specification } from '@/core/prescribe/engine/specification';
import type { RankQuestion } from '@/workers/rank-worker';
import { type Following, useFollowing } from '../use-task';

const startWorker = () =>
  new Worker(new URL('../../workers/rank-worker.ts', import.meta.url), { type: 'module' });

/** Ranking of the catalogue, computed in a worker whenever specification or query change. The catalogue is sent once. */
export function useRanking(
  catalogue: CatalogueRead | null,
  specification: Specification,
  query: CatalogueQuery,
  before: readonly PairBefore[],
  stand: FootToStandOn | null,
): Following<Ranking> {
  const sent = useRef<CatalogueRead | null>(null);
  const question = useMemo(
    () =>
      catalogue &&
      ((isFresh: boolean): RankQuestion => {
        const isKnown = !isFresh && sent.current === catalogue;
        sent.current = catalogue;
        const asked = { specification, query, before, stand };
        return isKnown ? asked : { catalogue, ...asked };
      }),
    [catalogue, specification, query, before, stand],
  );
  return useFollowing<RankQuestion, Ranking>(startWorker, question);
}
