import { keysOf } from '../tables/keys-of';
import type { SheetText } from '../texts/speech';

interface RecallKind {
  title: string;
  /** Why it stands there. */
  says: string;
  /** What is written to the patient; null where a letter is not the way. */
  letter: SheetText | null;
  /** What its day is: since when it stands, since when the pair is worn, when it was or is due, until when there is time, or when the window opens. */
  dated: 'since' | 'worn' | 'due' | 'until' | 'window';
  /** What to do next about it, on a button. */
  next: string;
  /** Not to be put off: a foot is looked at first. */
  isWarning?: true;
}

/** Why somebody stands on the list, the most urgent first. Their order is ours. */
export const RECALL = {
  'home-warning': {
    title: 'Warning from home',
    says: 'Said on the patient’s own page: call, and write what you found',
    dated: 'since',
    next: 'See what was said',
    letter: null,
    isWarning: true,
  },
  'stop-wearing': {
    title: 'Stop wearing',
    says: 'Very sore, another gait, or a mark on a foot at risk: see foot and pair',
    dated: 'worn',
    next: 'See the pair',
    letter: null,
    isWarning: true,
  },
  'outcome-alarm': {
    title: 'Open skin or a fall',
    says: 'Reported with the outcomes of a pair: see them',
    dated: 'since',
    next: 'See the outcomes',
    letter: null,
    isWarning: true,
  },
  'visit-open': {
    title: 'Open visits',
    says: 'Begun and not handed over',
    dated: 'since',
    next: 'Go on',
    letter: null,
  },
  'risk-check': {
    title: 'Feet at risk to be checked',
    says: 'As often as their category asks',
    dated: 'due',
    next: 'Begin the check',
    letter: 'recall.risk-check',
  },
  'refit-due': {
    title: 'To be refitted',
    says: 'Three sore outings in a row in a new pair',
    dated: 'worn',
    next: 'Begin the review',
    letter: 'recall.refit',
  },
  'return-ends': {
    title: 'Home trial ends soon',
    says: 'Can go back until the day shown: does it fit?',
    dated: 'until',
    next: 'Ask how it fits',
    letter: 'recall.return',
  },
  'order-to-check': {
    title: 'Arrived',
    says: 'Check it against the order: version, sizes, modifications',
    dated: 'since',
    next: 'Check it in',
    letter: null,
  },
  'order-to-return': {
    title: 'To send back',
    says: 'Within the supplier’s term',
    dated: 'until',
    next: 'Send it back',
    letter: null,
  },
  'order-to-collect': {
    title: 'To be collected',
    says: 'Checked and put by',
    dated: 'since',
    next: 'Hand it over',
    letter: 'recall.collect',
  },
  'order-late': {
    title: 'Late',
    says: 'Ordered, expected before today, not here yet',
    dated: 'due',
    next: 'Ask the supplier',
    letter: null,
  },
  'order-to-place': {
    title: 'To be ordered',
    says: 'Chosen at a visit and not ordered yet',
    dated: 'since',
    next: 'Order it',
    letter: null,
  },
  'answers-missing': {
    title: 'No answers on a new pair',
    says: 'A week of break-in, and nothing heard',
    dated: 'due',
    next: 'Enter answers',
    letter: 'recall.answers',
  },
  'pair-overdue': {
    title: 'Overdue for replacement',
    says: 'Nine in ten such pairs are worn out by now',
    dated: 'due',
    next: 'Inspect the pair',
    letter: 'recall.replace',
  },
  'review-due': {
    title: 'Review due',
    says: 'After a hand-over',
    dated: 'due',
    next: 'Begin the review',
    letter: 'recall.review',
  },
  'outcomes-due': {
    title: 'Outcomes to ask for',
    says: 'At two, six and twelve weeks, then as the feet ask',
    dated: 'due',
    next: 'Enter outcomes',
    letter: 'recall.outcomes',
  },
  'pair-in-window': {
    title: 'In the replacement window',
    says: 'Between one and nine in ten such pairs are worn out',
    dated: 'until',
    next: 'Inspect the pair',
    letter: 'recall.replace',
  },
  'bring-in-next': {
    title: 'Time for the next pair',
    says: 'About a third of the life left: alternate old and new',
    dated: 'window',
    next: 'See the pair',
    letter: 'recall.next',
  },
} as const satisfies Record<string, RecallKind>;

export type RecallKindId = keyof typeof RECALL;
export const RECALL_KINDS = keysOf(RECALL);

/** Rows of a kind that a list begins with: those that it shows, and one that tells of more. Ours; warnings are shown whole. */
export const SHOWN_OF_A_KIND = 8;
export const FIRST_OF_A_KIND = SHOWN_OF_A_KIND + 1;

/** Rows of a kind that are read when all of it is asked for; whoever works through so many looks again. */
export const MOST_OF_A_KIND = 200;

/** Letters that go out in one go at most. Ours. */
export const MOST_LETTERS = 60;

export const recallKind = (id: RecallKindId): RecallKind => RECALL[id];

/** What was done to reach somebody. */
export const CONTACT_TRIES = {
  called: 'called',
  spoke: 'spoke with them',
  'no-answer': 'no answer',
  written: 'written to',
  snoozed: 'put off',
} as const;
export type ContactTry = keyof typeof CONTACT_TRIES;

/** Days that something may be put off at most. Ours. */
export const LONGEST_SNOOZE_DAYS = 120;
