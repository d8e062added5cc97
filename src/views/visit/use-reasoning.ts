import { useEffect, useState } from 'react';
import type { ClinicalPicture } from '@/core/picture/clinical-picture';
import { BUILT_IN, type ResolveOptions } from '@/core/prescribe/resolve';
import type { ReasonAsked, Reasoning } from '@/workers/reason-worker';
import { useTask } from '../use-task';

const startWorker = () =>
  new Worker(new URL('../../workers/reason-worker.ts', import.meta.url), { type: 'module' });

/** Quiet time after the last finding before the worker is asked. */
const ASK_AFTER_MS = 250;

/** What targets hang on and what to find out next, worked out a moment after each finding; the last answer stays until then. */
export function useReasoning(picture: ClinicalPicture, options: ResolveOptions): Reasoning | null {
  const { ask } = useTask<ReasonAsked, Reasoning>(startWorker);
  const [reasoning, setReasoning] = useState<Reasoning | null>(null);
  useEffect(() => {
    const timer = setTimeout(async () => {
      const answer = await ask({
        picture,
        school: options.school ?? 'balanced',
        setAside: options.setAside ?? [],
        knowledge: options.knowledge ?? BUILT_IN,
      });
      if (answer) setReasoning(answer);
    }, ASK_AFTER_MS);
    return () => clearTimeout(timer);
  }, [ask, picture, options.school, options.setAside, options.knowledge]);
  return reasoning;
}
