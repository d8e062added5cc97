import { z } from 'zod';
import { breakInSchoolSchema } from '@/core/break-in/schema';
import { OWN_PLANS } from '@/core/break-in/schools';
import { daySchema } from './shared';

/** A break-in as the sheet will say it. */
export const breakInPreviewSchema = z.object({
  plan: z.union([breakInSchoolSchema, z.enum(OWN_PLANS)]),
  /** Weeks by the largest change between the old pair and this one; 0 where they are alike. */
  changeWeeks: z.number(),
  /** Somebody said how much the pair will be used. */
  restsOnWeek: z.boolean(),
  doneOn: daySchema,
  weeks: z.array(
    z.object({
      label: z.string(),
      from: daySchema,
      fromInWords: z.string(),
      share: z.number(),
      text: z.string(),
    }),
  ),
  lines: z.array(z.string()),
});
export type BreakInPreview = z.infer<typeof breakInPreviewSchema>;
