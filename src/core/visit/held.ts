import type { StepContent, StepRecord, VisitContents } from './contents';
import { SAVED_STEPS, type SavedStep } from './steps';

// Apart from the schemas, so that the visit page need not load them.

/** Contents of a visit's saved steps by step. */
export const contentsOf = (steps: readonly Pick<StepRecord, 'step' | 'content'>[]): VisitContents =>
  Object.fromEntries(steps.map(({ step, content }) => [step, content]));

/** The steps that a visit holds, each with what it holds, in the order of work. */
export const stepsHeld = (contents: VisitContents): { step: SavedStep; content: StepContent }[] =>
  SAVED_STEPS.flatMap((step) => {
    const content = contents[step];
    return content === undefined ? [] : [{ step, content }];
  });
