import type { Activity } from '../purpose/serves';
import type { Choices, StepContents, VisitContents } from './contents';

/** Steps whose content belongs to the pair under work; all others belong to the patient. */
export const PAIR_STEPS = ['reason', 'candidates', 'try-on', 'hand-over'] as const;
export type PairStep = (typeof PAIR_STEPS)[number];
const OF_PAIR: ReadonlySet<string> = new Set(PAIR_STEPS);
export const isPairStep = (step: string): step is PairStep => OF_PAIR.has(step);

export type PairContents = { [S in PairStep]: StepContents[S] };

/** What was chosen for the pair under work alone, as it is kept with what is issued. */
export function choicesOf({ reason = {} }: VisitContents): Choices {
  const { parked: _, pair: __, ...choices } = reason;
  return choices;
}

/** The work on one pair put aside under its purpose, and that on another brought back as it was left. */
function turned<C extends { parked?: Partial<Record<Activity, object>> | undefined }>(
  { parked = {}, ...own }: C,
  from: Activity,
  to: Activity,
): C {
  const { [to]: next = {}, ...rest } = { ...parked, [from]: own };
  return { ...next, parked: rest } as C;
}

/**
 * Turns from one pair to another: reasons, candidates, fitting and hand-over of the one are parked, those of the other
 * come back as they were left. The school stays: it is the patient's.
 */
export function turnToPair(contents: VisitContents, from: Activity, to: Activity): PairContents {
  const { reason = {}, candidates = {}, 'try-on': tried = {}, 'hand-over': handOver = {} } = contents;
  const { pair: _, ...choices } = reason;
  const turnedChoices = turned(choices, from, to);
  return {
    reason: {
      ...(reason.school ? { school: reason.school } : {}),
      ...turnedChoices,
      pair: to,
    },
    candidates: turned(candidates, from, to),
    'try-on': turned(tried, from, to),
    'hand-over': turned(handOver, from, to),
  };
}
