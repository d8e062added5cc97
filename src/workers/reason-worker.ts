import type { EnteredPicture } from '@/core/findings/picture';
import type { Knowledge } from '@/core/knowledge/edition';
import type { SchoolChoice } from '@/core/knowledge/schools';
import { askNext, type NextQuestion } from '@/core/prescribe/counterfactual/ask-next';
import { relianceOf } from '@/core/prescribe/counterfactual/reliance';
import type { SetAside } from '@/core/prescribe/engine/specification';
import { ok } from '@/core/result/result';
import { serve } from './task';

export interface ReasonQuestion {
  /** As entered: what is left out is derived anew. */
  entered: EnteredPicture;
  school: SchoolChoice;
  setAside: readonly SetAside[];
  knowledge: Knowledge;
}

export interface Reasoning {
  reliance: ReturnType<typeof relianceOf>;
  questions: NextQuestion[];
}

/** What each target hangs on and what is worth finding out next: hundreds of resolutions, off the main thread. */
serve<ReasonQuestion, Reasoning>(({ entered, ...options }, report) => {
  report('what each target hangs on', 0);
  const reliance = relianceOf(entered, options);
  report('what to find out next', 0.3);
  return ok({ reliance, questions: askNext(entered, options) });
});
