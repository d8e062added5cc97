import { useEffect, useState } from 'react';
import { type Answer, call, failureInWords } from '@/contract/client';
import type { ShoeModel } from '@/core/catalogue/model';

let loading: Promise<Answer<ShoeModel[]>> | null = null;

/** The catalogue, fetched once a page; a failure is a sentence, and `retry` fetches it again. */
export function useModels(isWanted = true): {
  models: ShoeModel[] | null;
  problem: string | null;
  retry: () => void;
} {
  const [answer, setAnswer] = useState<Answer<ShoeModel[]> | null>(null);
  const [attempt, setAttempt] = useState(0);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another attempt fetches once more
  useEffect(() => {
    if (!isWanted) return;
    let isGone = false;
    loading ??= call('models', {});
    void loading.then((next) => {
      if (!next.ok) loading = null;
      if (!isGone) setAnswer(next);
    });
    return () => {
      isGone = true;
    };
  }, [attempt, isWanted]);
  return {
    models: answer?.ok ? answer.value : null,
    problem: answer && !answer.ok ? failureInWords(answer) : null,
    retry: () => setAttempt((count) => count + 1),
  };
}
