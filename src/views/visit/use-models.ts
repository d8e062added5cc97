import { useEffect, useState } from 'react';
import { call, sayWhy } from '@/api/client';
import type { ShoeModel } from '@/core/match/model';

let loading: Promise<ShoeModel[]> | null = null;

async function load(): Promise<ShoeModel[]> {
  const answer = await call<ShoeModel[]>('GET', '/models');
  if (answer.ok) return answer.value;
  loading = null;
  throw new Error(sayWhy(answer));
}

/** The catalogue, fetched once a page. */
export function useModels(): { models: ShoeModel[] | null; problem: string | null } {
  const [models, setModels] = useState<ShoeModel[] | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    loading ??= load();
    loading.then(setModels, (error: Error) => setProblem(error.message));
  }, []);
  return { models, problem };
}
