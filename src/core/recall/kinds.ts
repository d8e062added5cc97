import { keysOf } from '../tables/keys-of';
import type { SheetText } from '../texts/speech';

interface RecallKind {
  title: string;
  /** Why it stands there. */
  says: string;
  /** What is written to the patient; null where a letter is not the way. */
  letter: SheetText | null;
  /** Not to be put off: a foot is looked at first. */
  isWarning?: true;
}

/** Why somebody stands on the list, the most urgent first. Their order is ours. */
export const RECALL = {
  'home-warning': {
    title: 'Warning from home',
    says: 'Said on the patient’s own page: call, and write what you found',
    letter: null,
    isWarning: true,
  },
  'stop-wearing': {
    title: 'Stop wearing',
    says: 'Very sore, another gait, or a mark on a foot at risk: see foot and pair',
    letter: null,
    isWarning: true,
  },
  'outcome-alarm': {
    title: 'Open skin or a fall',
    says: 'Reported with the outcomes of a pair: see them',
    letter: null,
    isWarning: true,
  },
  'visit-open': { title: 'In the room', says: 'Begun and not handed over', letter: null },
  'risk-check': {
    title: 'Feet at risk to be checked',
    says: 'As often as their category asks',
    letter: 'recall.risk-check',
  },
  'refit-due': {
    title: 'To be refitted',
    says: 'Three sore outings in a row in a new pair',
    letter: 'recall.refit',
  },
  'return-ends': {
    title: 'Can still go back',
    says: 'Kept at home until the day named: does it fit?',
    letter: 'recall.return',
  },
  'order-to-check': {
    title: 'Arrived',
    says: 'Hold it against the order: version, sizes, changes',
    letter: null,
  },
  'order-to-return': { title: 'To send back', says: 'Within the supplier’s term', letter: null },
  'order-to-collect': { title: 'To be collected', says: 'Checked and put by', letter: 'recall.collect' },
  'order-late': { title: 'Late', says: 'Ordered, expected before today and not there', letter: null },
  'order-to-place': { title: 'To be ordered', says: 'Chosen at a visit and not ordered yet', letter: null },
  'answers-missing': {
    title: 'No word of a new pair',
    says: 'A week of its break-in without an answer',
    letter: 'recall.answers',
  },
  'pair-overdue': {
    title: 'Past their life',
    says: 'Nine of ten such pairs are used up by now',
    letter: 'recall.replace',
  },
  'review-due': { title: 'Review due', says: 'After a hand-over', letter: 'recall.review' },
  'outcomes-due': {
    title: 'Outcomes to ask for',
    says: 'At two, six and twelve weeks, then as the feet ask',
    letter: 'recall.outcomes',
  },
  'pair-in-window': {
    title: 'In the replacement window',
    says: 'Between one and nine of ten such pairs are used up',
    letter: 'recall.replace',
  },
  'bring-in-next': {
    title: 'Time for the next pair',
    says: 'About a third of the life left: alternate old and new',
    letter: 'recall.next',
  },
} as const satisfies Record<string, RecallKind>;

export type RecallKindId = keyof typeof RECALL;
export const RECALL_KINDS = keysOf(RECALL);

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
