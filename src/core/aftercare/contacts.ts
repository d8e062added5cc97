import { type BreakInInput, planBreakIn } from '../break-in/plan';
import type { Say, SheetText } from '../texts/speech';

/** Days of a pair on which somebody does something. */
export type PairContactKind = 'return' | 'break-in' | 'review' | 'next';

export interface PairContact {
  kind: PairContactKind;
  on: string;
}

const TEXTS = {
  return: 'date.return',
  'break-in': 'date.break-in',
  review: 'date.review',
  next: 'date.next',
} as const satisfies Record<PairContactKind, SheetText>;

export const contactInWords = (kind: PairContactKind, shoe: string, say: Say): string =>
  say(TEXTS[kind], { shoe });

/** The days of a pair in their order: until when it goes back, from when it is worn for all, when it is seen and when the next is due. */
export function contactsOfPair({
  startedOn,
  reviewOn,
  startNextOn,
  returnBy,
  breakIn,
}: {
  startedOn: string;
  reviewOn: string;
  startNextOn: string | null;
  returnBy: string | null;
  breakIn: BreakInInput | null;
}): PairContact[] {
  const doneOn = breakIn && planBreakIn(breakIn).doneOn;
  const contacts: PairContact[] = [
    ...(returnBy === null ? [] : [{ kind: 'return', on: returnBy } as const]),
    ...(doneOn !== null && doneOn > startedOn ? [{ kind: 'break-in', on: doneOn } as const] : []),
    { kind: 'review', on: reviewOn },
    ...(startNextOn === null ? [] : [{ kind: 'next', on: startNextOn } as const]),
  ];
  return contacts.toSorted((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
}
