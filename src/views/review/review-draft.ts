import { z } from 'zod';
import type { ReviewDraft as Readable } from '@/core/review/decide';
import { reviewContentSchema } from '@/core/review/review';
import { omitUndefined } from '@/core/tables/omit-undefined';
import { isWorthKeeping } from '@/core/wear/inspection';
import { blankMeasures, measureDraftSchema, measuresOf } from '../measures/measure-draft';

const { changed, inspection, since, decision, because, to, again, outing } = reviewContentSchema.shape;
const outingShape = outing.unwrap().shape;

/** A review as far as it was entered; kept in this browser until it is sent. */
const reviewDraftSchema = z.object({
  changed,
  warnings: reviewContentSchema.shape.warnings.optional(),
  day: measureDraftSchema,
  inspection,
  since,
  felt: outingShape.felt.optional(),
  gaitChanged: z.boolean().optional(),
  marks: z.boolean().optional(),
  decision: decision.optional(),
  because,
  to,
  again,
});
export type ReviewDraft = z.infer<typeof reviewDraftSchema>;

export const isReviewDraft = (kept: unknown): kept is ReviewDraft =>
  reviewDraftSchema.safeParse(kept).success;

export const blankReview = (activities: readonly string[]): ReviewDraft => ({
  day: blankMeasures(activities),
});

/** What was entered, as the review is read and sent. */
export function reviewOf(draft: ReviewDraft, on: string): Readable {
  const { day, felt, gaitChanged = false, marks = false, inspection: seen, ...rest } = draft;
  return omitUndefined<Readable>({
    on,
    ...rest,
    measures: measuresOf(day).measures,
    inspection: seen && isWorthKeeping(seen) ? seen : undefined,
    outing: felt ? { felt, gaitChanged, marks } : undefined,
  });
}
