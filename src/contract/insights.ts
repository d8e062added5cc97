import { z } from 'zod';
import { INSIGHT_GROUPS, type InsightGroup } from '@/core/insights/group-by';
import { FEATURES, type FeatureId } from '@/core/shoe/features';
import { keySchema } from '@/core/tables/key-schema';
import { operation } from './operation';
import { ROUTES } from './routes';

export const insightQuerySchema = z.object({
  by: keySchema<InsightGroup>(INSIGHT_GROUPS).optional(),
  /** Which feature, where they are counted by one. */
  feature: keySchema<FeatureId>(FEATURES).optional(),
  /** Groups of fewer pairs are not shown. */
  least: z.coerce
    .number()
    .int('Write a whole number.')
    .min(2, 'At least 2.')
    .max(1000, 'At most 1000.')
    .optional(),
});
export type InsightQuery = z.infer<typeof insightQuerySchema>;

const proportionSchema = z.object({
  count: z.int(),
  of: z.int(),
  share: z.number().nullable(),
  from: z.number(),
  to: z.number(),
});
export const insightsSchema = z.object({
  least: z.int(),
  groups: z.array(
    z.object({
      group: z.string(),
      pairs: z.int(),
      wornOut: z.int(),
      steps: z.array(
        z.object({
          time: z.number(),
          atRisk: z.int(),
          ended: z.int(),
          share: z.number(),
          standardError: z.number(),
        }),
      ),
      longestDays: z.number(),
      medianDays: z.number().nullable(),
      atRisk: z.array(z.object({ day: z.number(), pairs: z.int() })),
      hurt: proportionSchema,
      better: proportionSchema,
      worse: proportionSchema,
      unheard: proportionSchema,
    }),
  ),
  withheld: z.int(),
  between: z
    .object({
      first: z.string(),
      second: z.string(),
      test: z.object({
        groups: z.array(z.object({ observed: z.number(), expected: z.number() })),
        chiSquare: z.number(),
        pValue: z.number(),
      }),
    })
    .nullable(),
});

/** What the clinic's own pairs and outcomes say, honest about small numbers. */
export const insights = {
  insights: operation(ROUTES.insights, {
    id: 'readInsights',
    answer: insightsSchema,
    tag: 'records',
    summary:
      'What became of the clinic’s pairs: how long they last, how many hurt, really better or worse; observational',
    query: insightQuerySchema,
  }),
  insightsCsv: operation(ROUTES.insightsCsv, {
    id: 'exportInsights',
    tag: 'records',
    summary: 'The same as CSV, a line for each group',
    query: insightQuerySchema,
    produces: 'text/csv',
  }),
} as const;
