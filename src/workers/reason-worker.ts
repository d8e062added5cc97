import type { Knowledge } from '@/core/knowledge/edition';
import type { SchoolChoice } from '@/core/knowledge/schools';
import type { ClinicalPicture } from '@/core/picture/clinical-picture';
import { askNext, type NextQuestion } from '@/core/prescribe/ask-next';
import { hangsOn } from '@/core/prescribe/hangs-on';
import type { SetAside } from '@/core/prescribe/specification';
import { ok } from '@/core/result';
import { serve } from './task';

export interface ReasonAsked {
  picture: ClinicalPicture;
  school: SchoolChoice;
  setAside: readonly SetAside[];
  knowledge: Knowledge;
}

export interface Reasoning {
  hangsOn: ReturnType<typeof hangsOn>;
  questions: NextQuestion[];
}

/** What each target hangs on and what is worth finding out next: hundreds of resolutions, off the main thread. */
serve<ReasonAsked, Reasoning>(({ picture, ...options }, report) => {
  report('what each target hangs on', 0);
  const reliance = hangsOn(picture, options);
  report('what to find out next', 0.3);
  return ok({ hangsOn: reliance, questions: askNext(picture, options) });
});
