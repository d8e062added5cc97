import { useEffect, useState } from 'react';
import { type Answer, failureInWords } from '@/contract/answer';
import type { CatalogueRead } from '@/core/catalogue/columns';
import type { ShoeModel } from '@/core/catalogue/model';
import type { OpenCatalogue } from './read-catalogue';

let loading: Promise<Answer<OpenCatalogue>> | null = null;
const watching = new Set<(share: number) => void>();
const tell = (share: number) => {
  for (const watch of watching) watch(share);
};

/** The catalogue, read once a page; a failure is a sentence, and `retry` reads it again. */
export function useModels(isWanted = true): {
  models: ShoeModel[] | null;
  /** The same as it came, for a worker. */
  read: CatalogueRead | null;
  /** Which share of it has come. */
  share: number;
  problem: string | null;
  retry: () => void;
} {
  const [answer, setAnswer] = useState<Answer<OpenCatalogue> | null>(null);
  const [share, setShare] = useState(0);
  const [attempt, setAttempt] = useState(0);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another attempt reads once more
  useEffect(() => {
    if (!isWanted) return;
    let isGone = false;
    watching.add(setShare);
    // Without its code nothing was reached, as without an answer.
    loading ??= import('./read-catalogue').then(
      ({ readCatalogue }) => readCatalogue(tell),
      () => ({ ok: false, kind: 'offline' }),
    );
    void loading.then((next) => {
      if (!next.ok) loading = null;
      if (!isGone) setAnswer(next);
    });
    return () => {
      isGone = true;
      watching.delete(setShare);
    };
  }, [attempt, isWanted]);
  return {
    models: answer?.ok ? answer.value.models : null,
    read: answer?.ok ? answer.value.read : null,
    share,
    problem: answer && !answer.ok ? failureInWords(answer) : null,
    retry: () => setAttempt((count) => count + 1),
  };
}
