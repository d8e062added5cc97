import { z } from 'zod';
import { REVIEW_DECISIONS, type ReviewDecision } from '@/core/review/review';
import { keySchema } from '@/core/tables/key-schema';
import { daySchema, idSchema } from './shared';

const decision = keySchema<ReviewDecision>(REVIEW_DECISIONS);

/** One review as the pair's page lists it. */
export const reviewRecordSchema = z.object({
  id: idSchema,
  on: daySchema,
  by: z.string(),
  decision,
  /** What the findings asked for on that day. */
  suggested: decision,
  because: z.string().optional(),
  to: z.string().optional(),
});
export type ReviewRecord = z.infer<typeof reviewRecordSchema>;

/** What a review is held against. */
export const reviewPageSchema = z.object({
  /** The visit at which the pair was issued; null where it was not issued here. */
  first: z
    .object({
      visitId: idSchema,
      on: daySchema,
      /** What ached, and what the pair was to do, in words. */
      ached: z.array(z.string()),
      wanted: z.array(z.string()),
    })
    .nullable(),
  reviews: z.array(reviewRecordSchema),
  /** When outcomes are due next, were they taken today. */
  nextDueOn: daySchema,
});
export type ReviewPage = z.infer<typeof reviewPageSchema>;
