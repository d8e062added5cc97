import { z } from 'zod';
import { INSIGHT_GROUPS, type InsightGroup } from '@/core/insights/group-by';
import { APART_BY, type ApartBy, PAIR_ENDS, type PairEnd } from '@/core/insights/what-became';
import { FEATURES, type FeatureId } from '@/core/shoe/features';
import { keySchema } from '@/core/tables/key-schema';
import { SAVED_STEPS } from '@/core/visit/steps';
import { operation } from './operation';
import { ROUTES } from './routes';

export const insightQuerySchema = z.object({
  by: keySchema<InsightGroup>(INSIGHT_GROUPS).optional(),
  /** Which feature, where they are counted by one. */
  feature: keySchema<FeatureId>(FEATURES).optional(),
  /** What counts as the end of a pair. */
  ends: keySchema<PairEnd>(PAIR_ENDS).optional(),
  /** Figures of fewer people are withheld. */
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
  ends: keySchema<PairEnd>(PAIR_ENDS),
  least: z.int(),
  groups: z.array(
    z.object({
      group: z.string(),
      pairs: z.int(),
      patients: z.int(),
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
      lessPain: proportionSchema,
      morePain: proportionSchema,
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
  held: z.int(),
  apart: z.array(
    z.object({
      group: z.string(),
      by: keySchema<ApartBy>(APART_BY),
      own: proportionSchema,
      others: proportionSchema,
    }),
  ),
});

const guessesSchema = z.object({
  n: z.int(),
  patients: z.int(),
  bias: z.object({ mean: z.number(), from: z.number(), to: z.number() }).nullable(),
  near: proportionSchema,
});

/** How well the clinic foretells and guesses, which sizes do not fit, how long visits take; null where too few people stand behind it. */
export const clinicInsightsSchema = z.object({
  least: z.int(),
  forecasts: z
    .object({
      pairs: z.int(),
      wornOut: z.int(),
      at: z.array(z.object({ foretold: z.number(), seen: z.number(), from: z.number(), to: z.number() })),
    })
    .nullable(),
  comfort: z.object({
    first: guessesSchema.nullable(),
    later: guessesSchema.nullable(),
    points: z.array(z.object({ guess: z.number(), comfort: z.number(), isFirst: z.boolean() })).nullable(),
  }),
  misfits: z.object({
    groups: z.array(
      z.object({
        maker: z.string(),
        size: z.string(),
        pairs: z.int(),
        patients: z.int(),
        short: proportionSchema,
        long: proportionSchema,
        narrow: proportionSchema,
        wide: proportionSchema,
      }),
    ),
    withheld: z.int(),
  }),
  steps: z.array(
    z.object({
      step: z.enum(SAVED_STEPS),
      visits: z.int(),
      median: z.number(),
      from: z.number(),
      to: z.number(),
    }),
  ),
});
export type ClinicInsights = z.infer<typeof clinicInsightsSchema>;

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
  clinicInsights: operation(ROUTES.clinicInsights, {
    id: 'readClinicInsights',
    answer: clinicInsightsSchema,
    tag: 'records',
    summary:
      'Forecasts and guesses of comfort held against what came, misfits by maker and size, time by step of a visit',
    query: insightQuerySchema.pick({ least: true }),
  }),
  clinicInsightsCsv: operation(ROUTES.clinicInsightsCsv, {
    id: 'exportClinicInsights',
    tag: 'records',
    summary: 'One of these as CSV: guesses of comfort, misfits, or time by step',
    query: insightQuerySchema
      .pick({ least: true })
      .extend({ show: z.enum(['guesses', 'misfits', 'time']).default('misfits') }),
    produces: 'text/csv',
  }),
  insightsCsv: operation(ROUTES.insightsCsv, {
    id: 'exportInsights',
    tag: 'records',
    summary: 'The same as CSV, a line for each group',
    query: insightQuerySchema,
    produces: 'text/csv',
  }),
} as const;
