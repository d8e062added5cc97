import { z } from 'zod';
import { isoDay } from '../calendar/iso-day';
import { keySchema } from '../tables/key-schema';
import { FELT, type Felt } from './answers';
import type { BreakInInput } from './plan';
import { BREAK_IN_SCHOOLS, type BreakInSchool, OWN_PLANS } from './schools';

export const breakInSchoolSchema = keySchema<BreakInSchool>(BREAK_IN_SCHOOLS);

export const outingAnswerSchema = z.strictObject({
  on: isoDay,
  felt: keySchema<Felt>(FELT),
  gaitChanged: z.boolean().optional(),
  marks: z.boolean().optional(),
});

/** What a clinician found before a pair goes on. */
export const goOnSchema = z.strictObject({
  found: z.string().trim().min(3, 'Write what was found.').max(600, 'Use at most 600 letters.'),
});

export const breakInInputSchema: z.ZodType<BreakInInput> = z.object({
  startOn: isoDay,
  unit: z.enum(['km', 'hours']),
  outings: z.array(
    z.object({ id: z.string(), day: z.int().min(0).max(6), amount: z.number().min(0), isLong: z.boolean() }),
  ),
  changeWeeks: z.number().min(0),
  plan: z.union([breakInSchoolSchema, z.enum(OWN_PLANS)]),
  homeTrialDays: z.number(),
  events: z.array(
    z.object({ on: isoDay, days: z.number(), name: z.string(), amount: z.number().nullable() }),
  ),
  oldLeft: z.number().nullable(),
  answers: z.array(outingAnswerSchema.extend({ isSeen: z.boolean().optional() })),
  stoppedOn: isoDay.nullish(),
});
