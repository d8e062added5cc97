import { z } from 'zod';
import type { NextQuestion } from '@/core/prescribe/counterfactual/ask-next';
import type { Reliance } from '@/core/prescribe/counterfactual/reliance';
import { schoolSchema } from '@/core/prescribe/engine/schema';
import type { ShankAnswer } from '@/core/prosthesis/shank-alignment';
import type { SockAnswer, SockStack } from '@/core/prosthesis/sock-stack';
import type { LoadChange, RegionChange } from '@/core/what-if/what-if';
import {
  activitySchema,
  featureIdSchema,
  featureValueSchema,
  findingIdSchema,
  leverSchema,
  sideSchema,
  whatIfSourceSchema,
} from './shared';
import { deadlockSchema, openQuestionSchema, specificationSchema, targetSchema } from './specification';

// What the calculations answer. Typed by what the core and the records say: a field that is missing here does not compile.

export const shankAnswerSchema: z.ZodType<ShankAnswer> = z.object({
  angleDeg: z.number(),
  leans: z.enum(['vertical', 'forward', 'back']),
  wedgeMm: z.number().nullable(),
  remainsMm: z.number(),
  verdict: z.enum(['fine', 'caution', 'set-ankle', 'prosthetist', 'do-not-walk']),
  refused: z.boolean(),
  sentence: z.string(),
});

export const sockStackSchema: z.ZodType<SockStack> = z.object({
  socks: z.array(z.number()),
  ply: z.number(),
});

export const sockAnswerSchema: z.ZodType<SockAnswer> = z.object({
  wanted: z.number(),
  exact: sockStackSchema.nullable(),
  below: sockStackSchema.nullable(),
  above: sockStackSchema.nullable(),
  sentence: z.string(),
  caution: z.string().nullable(),
});

export const nextQuestionSchema: z.ZodType<NextQuestion> = z.object({
  finding: findingIdSchema,
  sides: z.array(sideSchema),
  step: z.enum(['load', 'ask', 'old-pair', 'feet', 'move']).nullable(),
  lacksAmount: z.boolean(),
  because: z.string().nullable(),
  expected: z.number(),
  chance: z.number(),
  features: z.array(featureIdSchema),
  seconds: z.number(),
  prior: z.string(),
});

export const relianceSchema: z.ZodType<Reliance> = z.object({
  finding: findingIdSchema,
  moves: z.number(),
  value: featureValueSchema.nullable(),
});

export const loadChangeSchema: z.ZodType<LoadChange> = z.object({
  lever: leverSchema,
  region: z.enum(['forefoot', 'hip', 'ankle', 'knee', 'ground']),
  quantity: z.string(),
  direction: z.enum(['up', 'down']),
  size: z
    .object({
      low: z.number(),
      high: z.number(),
    })
    .nullable(),
  beyond: z.boolean(),
  source: whatIfSourceSchema,
  recall: z.number().nullable(),
  note: z.string().optional(),
});

export const regionChangeSchema: z.ZodType<RegionChange> = z.object({
  region: z.enum(['forefoot', 'hip', 'ankle', 'knee', 'ground']),
  direction: z.enum(['none', 'mixed', 'up', 'down']),
  size: z
    .object({
      low: z.number(),
      high: z.number(),
    })
    .nullable(),
  lines: z.array(loadChangeSchema),
});

const limitsOfUse = z.string();

export const specificationAnswer = z.object({
  knowledge: z.string(),
  school: schoolSchema,
  targets: z.array(targetSchema),
  feet: z.object({ left: z.array(targetSchema), right: z.array(targetSchema) }),
  deadlocks: z.array(deadlockSchema),
  open: z.array(openQuestionSchema),
  cautions: z.array(z.string()),
  /** The pairs that the purposes ask for, and the one that this is for. */
  pairs: z.array(
    z.object({
      id: activitySchema,
      activities: z.array(activitySchema).readonly(),
      label: z.string(),
      because: z.string(),
    }),
  ),
  pair: activitySchema.nullable(),
  limitsOfUse,
});

export const comparisonAnswer = z.object({
  schools: z.array(schoolSchema),
  rows: z.array(
    z.object({
      feature: featureIdSchema,
      side: sideSchema.optional(),
      differs: z.boolean(),
      says: z.array(z.string().nullable()),
    }),
  ),
  specifications: z.array(specificationSchema),
  limitsOfUse,
});
