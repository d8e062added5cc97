import { z } from 'zod';
import { FELT, type Felt } from '../break-in/answers';
import { isoDay } from '../calendar/iso-day';
import { measuresSchema } from '../outcomes/schema';
import { WARNING_SIGNS, type WarningSignId } from '../safety/warning-signs';
import { keySchema } from '../tables/key-schema';
import { keysOf, mapTable } from '../tables/keys-of';
import { inspectionContentSchema } from '../wear/worn-schema';

/** What a review ends with. */
export const REVIEW_DECISIONS = {
  keep: 'keep the pair',
  refit: 'refit it',
  next: 'on to the next pair',
  refer: 'refer',
} as const;
export type ReviewDecision = keyof typeof REVIEW_DECISIONS;

interface Changed {
  label: string;
  /** What it asks for. */
  asks: ReviewDecision;
  because: string;
}

/** What may have changed since the pair was handed over, and what each asks for. Common practice; which goes first is ours. */
export const CHANGES = {
  'new-pain': {
    label: 'new pain, or pain elsewhere',
    asks: 'next',
    because: 'A new pain asks for a visit: the pair was not prescribed for it.',
  },
  injury: {
    label: 'injury or operation',
    asks: 'next',
    because: 'An injury or an operation asks for a visit: the foot is not the one that was examined.',
  },
  'feeling-or-circulation': {
    label: 'feeling or circulation got worse',
    asks: 'next',
    because: 'Feeling or circulation got worse: the risk of the foot is to be graded anew.',
  },
  load: {
    label: 'more distance or hours, other work or ground',
    asks: 'next',
    because: 'The load changed: the pair was prescribed for another.',
  },
  body: {
    label: 'body mass or pregnancy',
    asks: 'refit',
    because: 'Body mass or pregnancy changes feet in length and width: measure and try again.',
  },
  swelling: {
    label: 'more swelling, or less',
    asks: 'refit',
    because: 'Swelling changed: the closure and the room are to be tried at the worst of the day.',
  },
  insert: {
    label: 'another insert, brace or sock',
    asks: 'refit',
    because: 'Another insert, brace or sock needs different room: try the pair with it.',
  },
} as const satisfies Record<string, Changed>;
export type Change = keyof typeof CHANGES;
export const CHANGE_LABELS: Readonly<Record<Change, string>> = mapTable(CHANGES, ({ label }) => label);

const note = z.string().trim().max(600, 'Use at most 600 letters.').optional();

/** What was found and decided; what is absent was not looked at. */
export const reviewContentSchema = z.strictObject({
  /** Empty: nothing changed. Absent: not asked. */
  changed: z.array(keySchema<Change>(CHANGES)).max(keysOf(CHANGES).length).optional(),
  /** Warning signs that were looked for and found; empty: none. */
  warnings: z
    .array(
      z.enum(WARNING_SIGNS.map(({ id }) => id)),
      'Look for the warning signs first: none, or those that are there.',
    )
    .max(WARNING_SIGNS.length),
  measures: measuresSchema,
  inspection: inspectionContentSchema.optional(),
  /** How much it was used since the last entry of its log, in the unit of its clock. */
  since: z
    .number('This is a number.')
    .min(0, 'Use is not negative.')
    .max(2000, 'Over 2000: check it.')
    .optional(),
  /** The last outing of a pair that is being broken in. */
  outing: z
    .strictObject({ felt: keySchema<Felt>(FELT), gaitChanged: z.boolean(), marks: z.boolean() })
    .optional(),
  decision: keySchema<ReviewDecision>(REVIEW_DECISIONS),
  /** Why, and what was changed on the pair. */
  because: note,
  /** To whom it was referred. */
  to: z.string().trim().max(160, 'Use at most 160 letters.').optional(),
  /** When the pair is seen again. */
  again: isoDay.optional(),
});
export type ReviewContent = z.infer<typeof reviewContentSchema>;

export const reviewSchema = reviewContentSchema.extend({ on: isoDay });
export type Review = z.infer<typeof reviewSchema>;

/** As it is kept. */
export type StoredReview = Omit<ReviewContent, 'decision'> & {
  /** What the findings asked for on that day. */
  suggested: ReviewDecision;
};

const SIGN_OF: ReadonlyMap<string, string> = new Map(WARNING_SIGNS.map(({ id, sign }) => [id, sign]));
export const warningInWords = (id: WarningSignId): string => SIGN_OF.get(id) ?? id;
