import { z } from 'zod';
import { FINDING_IDS, FINDINGS } from '@/core/findings/findings';
import type { HouseChange } from '@/core/knowledge/house-rules';
import type { Condition, Rule, Wish } from '@/core/knowledge/rule';
import { strengthSchema } from '@/core/prescribe/check/house-rules-schema';
import { featureIdSchema } from '@/core/prescribe/engine/schema';
import { prosthesisSettingsSchema } from '@/core/prosthesis/settings-schema';
import { VALUE_SOURCES } from '@/core/shoe/readings/readings';
import { SIGNS, type SignId } from '@/core/signs/signs';
import { SIZE_SYSTEM_LABEL } from '@/core/sizing/systems';
import { WIDTH_LETTERS } from '@/core/sizing/widths';
import { SOURCES } from '@/core/sources/sources';
import { keySchema } from '@/core/tables/key-schema';
import { STEP_CONTENT, type StepRecord, stepStateSchema } from '@/core/visit/contents';
import { SAVED_STEPS, type SavedStep } from '@/core/visit/steps';
import { LEVERS } from '@/core/what-if/effects';

// Parts that several answers share. Each plain text carries an example, so that the document shows whole ones.

export { featureIdSchema };
export const idSchema = z.string().meta({ example: '3f0c9a52-6a1e-4f0b-9a53-0d5a7b1f2c11' });
export const daySchema = z.string().meta({ example: '2031-06-15' });
export const momentSchema = z.string().meta({ example: '2031-06-15T09:40:00.000Z' });

export const findingIdSchema = z.enum(FINDING_IDS);
export const activitySchema = keySchema(FINDINGS.activities.options);
export const sideSchema = z.enum(['left', 'right']);
export const sizingGroupSchema = z.enum(['men', 'women', 'child']);
export const widthLetterSchema = z.enum(WIDTH_LETTERS);
export const sizeSystemSchema = keySchema(SIZE_SYSTEM_LABEL);
export const leverSchema = keySchema(LEVERS);
export const campSchema = z.enum(['shape', 'comfort', 'load']);
export const wearSurfaceSchema = z.enum(['hard', 'mixed', 'soft']);
export const whatIfSourceSchema = z.union([z.literal('clinic-setting'), keySchema(SOURCES)]);

export const featureValueSchema = z.union([z.number(), z.string()]);
export const featureValuesSchema = z.partialRecord(featureIdSchema, featureValueSchema);
export const featureReadingsSchema = z.partialRecord(
  featureIdSchema,
  z.array(z.object({ value: featureValueSchema, from: keySchema(VALUE_SOURCES), on: daySchema })),
);

const percent = z.number();
export const roomSchema = z.object({ least: z.number(), wished: z.number(), most: z.number() });
export const houseSettingsSchema = z.object({
  kneePerMmDrop: z.object({ low: percent, high: percent }).optional(),
  usualRoom: roomSchema.optional(),
  outcomes: z.object({ weeks: z.array(z.number()).readonly(), thenMonths: z.number() }).optional(),
  prosthesis: prosthesisSettingsSchema.optional(),
  signStrengths: z.partialRecord(keySchema<SignId>(SIGNS), z.number()).optional(),
});

const listed = z.union([z.string(), z.array(z.string())]);
const conditionSchema: z.ZodType<Condition> = z.lazy(() =>
  z.union([
    z.object({ all: z.array(conditionSchema) }),
    z.object({ any: z.array(conditionSchema) }),
    z.object({ not: conditionSchema }),
    z.object({ finding: findingIdSchema, is: listed }),
    z.object({ finding: findingIdSchema, has: listed }),
    z.object({
      finding: findingIdSchema,
      atLeast: z.number().optional(),
      below: z.number().optional(),
      above: z.number().optional(),
      atMost: z.number().optional(),
      over: z.number().optional(),
    }),
  ]),
);

const amountSchema = z.union([
  z.number(),
  z.object({ finding: findingIdSchema, along: z.array(z.tuple([z.number(), z.number()])) }),
  z.object({ finding: findingIdSchema, plus: z.number().optional() }),
]);
const strength = strengthSchema.optional();
const feature = featureIdSchema;
const wishSchema: z.ZodType<Wish> = z.union([
  z.object({ feature, prefer: z.array(z.string()), strength }),
  z.object({ feature, avoid: z.array(z.string()), strength }),
  z.object({ feature, worth: z.record(z.string(), z.number()), strength }),
  z.object({ feature, curve: z.array(z.tuple([z.number(), z.number()])), strength }),
  z.object({
    feature,
    atLeast: amountSchema.optional(),
    atMost: amountSchema.optional(),
    reach: z.number().optional(),
    strength,
  }),
]);

export const ruleSchema: z.ZodType<Rule> = z.object({
  id: z.string(),
  topic: z.string(),
  finding: z.string(),
  when: conditionSchema,
  wishes: z.array(wishSchema),
  strength: strengthSchema,
  schools: z.array(campSchema),
  evidence: z.enum(['A', 'B', 'C']),
  sources: z.array(z.string()),
  because: z.string(),
  caution: z.string().optional(),
  contestedBy: z.array(z.string()).optional(),
});

export const houseChangeAnswerSchema: z.ZodType<HouseChange> = z.union([
  z.object({ kind: z.literal('off'), rule: z.string(), reason: z.string() }),
  z.object({ kind: z.literal('strength'), rule: z.string(), strength: strengthSchema, reason: z.string() }),
  z.object({ kind: z.literal('own'), rule: ruleSchema, reason: z.string() }),
]);

const savedStep = (step: SavedStep) =>
  z.object({
    step: z.literal(step),
    state: stepStateSchema,
    revision: z.int(),
    content: STEP_CONTENT[step],
    savedBy: z.string(),
    savedAt: momentSchema,
  });

/** One saved step, told apart by its name. Mapping over the names loses which content belongs to which. */
export const stepRecordSchema = z.union(SAVED_STEPS.map(savedStep)) as unknown as z.ZodType<StepRecord>;
