import { useEffect, useRef, useState } from 'react';
import type { CatalogueQuery } from '@/core/match/filter';
import type { ShoeModel } from '@/core/match/model';
import type { Ranking } from '@/core/match/rank';
import type { Specification } from '@/core/prescribe/specification';
import type { RankAnswer, RankRequest } from '@/workers/rank-worker';

/** Ranking of the catalogue, computed in a worker whenever specification or query change; null while it works. */
export function useRanking(
  models: ShoeModel[] | null,
  specification: Specification,
  query: CatalogueQuery,
): Ranking | null {
  const worker = useRef<Worker | null>(null);
  const asked = useRef(0);
  const [ranking, setRanking] = useState<Ranking | null>(null);
  useEffect(() => {
    worker.current = new Worker(new URL('../../workers/rank-worker.ts', import.meta.url), { type: 'module' });
    worker.current.onmessage = ({ data }: MessageEvent<RankAnswer>) => {
      if (data.id === asked.current) setRanking(data.ranking);
    };
    return () => worker.current?.terminate();
  }, []);
  useEffect(() => {
    if (models) worker.current?.postMessage({ models } satisfies RankRequest);
  }, [models]);
  useEffect(() => {
    if (!models) return;
    asked.current += 1;
    worker.current?.postMessage({ id: asked.current, specification, query } satisfies RankRequest);
  }, [models, specification, query]);
  return ranking;
}
