import { addDays, type IsoDay } from '../calendar/days';
import { type BreakInInput, planBreakIn } from './plan';

/** Days without a word after which somebody asks. Ours. */
const SILENT_DAYS = 7;

/** When an answer of a break-in is missed, and until when one is expected; null where none is. */
export function answersDue(input: BreakInInput): { on: IsoDay; until: IsoDay } | null {
  const { doneOn, state } = planBreakIn(input);
  if (state !== 'going') return null;
  const last =
    input.answers
      .map(({ on }) => on)
      .toSorted()
      .at(-1) ?? input.startOn;
  const on = addDays(last, SILENT_DAYS);
  return on <= doneOn ? { on, until: doneOn } : null;
}
