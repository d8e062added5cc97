import { z } from 'zod';
import { measuresSchema } from '@/core/outcomes/schema';
import { daySchema } from './shared';

/** Outcomes of a pair, oldest first, and when the next are due. */
export const outcomeRecordSchema = z.object({
  dueOn: daySchema.nullable(),
  taken: z.array(measuresSchema.extend({ on: daySchema, by: z.string() })),
});
export type OutcomeRecord = z.infer<typeof outcomeRecordSchema>;
