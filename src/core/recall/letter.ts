import type { Say, SheetText } from '../texts/speech';

export interface RecallLetter {
  /** Says who writes and nothing of why. */
  subject: string;
  body: string;
}

/** A note to a patient in their language: what to do, the number to call, and how to have no more of them. */
export function recallLetter(
  text: SheetText,
  {
    patient,
    clinic,
    phone,
    noMore,
  }: { patient: string; clinic: string; phone: string; noMore: string | null },
  say: Say,
): RecallLetter {
  return {
    subject: say('recall.subject', { clinic }),
    body: [
      say('recall.dear', { patient }),
      say(text),
      phone === '' ? say('home.wrong.call-none') : say('stop.call', { phone }),
      clinic,
      ...(noMore === null ? [] : [say('recall.no-more', { link: noMore })]),
    ].join('\n\n'),
  };
}
