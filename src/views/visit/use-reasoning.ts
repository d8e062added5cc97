import { useMemo } from 'react';
import type { EnteredPicture } from '@/core/findings/picture';
import type { VisitOptions } from '@/core/visit/read-visit';
import type { Reasoning, ReasonQuestion } from '@/workers/reason-worker';
import { type Following, useFollowing } from '../use-task';

const startWorker = () =>
  new Worker(new URL('../../workers/reason-worker.ts', import.meta.url), { type: 'module' });

/** Quiet time after the last finding before the worker is asked. */
const ASK_AFTER_MS = 250;

/** What targets hang on and what to find out next, worked out a moment after each finding; null: not yet known by which rules. */
export function useReasoning(entered: EnteredPicture, options: VisitOptions | null): Following<Reasoning> {
  const { school, setAside, knowledge } = options ?? {};
  const question = useMemo(
    () =>
      school && setAside && knowledge
        ? (): ReasonQuestion => ({ entered, school, setAside, knowledge })
        : null,
    [entered, school, setAside, knowledge],
  );
  return useFollowing<ReasonQuestion, Reasoning>(startWorker, question, ASK_AFTER_MS);
}
