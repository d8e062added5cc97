import { useCallback } from 'react';
import type { EnteredPicture } from '@/core/findings/picture';
import type { VisitOptions } from '@/core/visit/read-visit';
import type { Reasoning, ReasonQuestion } from '@/workers/reason-worker';
import { type Following, useFollowing } from '../use-task';

const startWorker = () =>
  new Worker(new URL('../../workers/reason-worker.ts', import.meta.url), { type: 'module' });

/** Quiet time after the last finding before the worker is asked. */
const ASK_AFTER_MS = 250;

/** What targets hang on and what to find out next, worked out a moment after each finding. */
export function useReasoning(
  entered: EnteredPicture,
  { school, setAside, knowledge }: VisitOptions,
): Following<Reasoning> {
  const question = useCallback(
    (): ReasonQuestion => ({ entered, school, setAside, knowledge }),
    [entered, school, setAside, knowledge],
  );
  return useFollowing<ReasonQuestion, Reasoning>(startWorker, question, ASK_AFTER_MS);
}
