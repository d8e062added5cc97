import { z } from 'zod';
import {
  comparisonAnswer,
  nextQuestionSchema,
  regionChangeSchema,
  relianceSchema,
  shankAnswerSchema,
  sockAnswerSchema,
  specificationAnswer,
} from '@/contract/answers/calculations';
import { wearForecastSchema } from '@/contract/answers/records';
import { activitySchema } from '@/contract/answers/shared';
import { sizeRowSchema } from '@/contract/answers/shoes';
import { findingsSchema } from '@/core/findings/schema';
import {
  decisionSchema,
  featureIdSchema,
  scenarioSchema,
  schoolSchema,
  setAsideSchema,
} from '@/core/prescribe/engine/schema';
import { drawerSchema } from '@/core/prosthesis/limb-record';
import { featureValuesSchema } from '@/core/shoe/bench/bench-schema';
import { keySchema } from '@/core/tables/key-schema';
import { CLOCK_OF_USE, type Use } from '@/core/wear/clocks';
import { signAnswersSchema } from '@/core/wear/worn-schema';
import { lifeSchoolSchema } from './common';
import { operation } from './operation';
import { ROUTES } from './routes';

/** A picture with the choices under which it is resolved. */
export const pictureSchema = z.strictObject({
  findings: findingsSchema,
  school: schoolSchema.optional(),
  setAside: z.array(setAsideSchema).max(60).optional(),
  decisions: z.array(decisionSchema).max(60).optional(),
  /** Which of the pairs that the purposes ask for; else the first. */
  pair: activitySchema.optional(),
});

/** Stateless calculations. */
export const calculations = {
  specification: operation(ROUTES.specification, {
    id: 'calculateSpecification',
    answer: specificationAnswer,
    tag: 'calculations',
    summary: 'Resolve findings into a specification, with every reason',
    body: pictureSchema,
  }),
  comparison: operation(ROUTES.comparison, {
    id: 'compareSchools',
    answer: comparisonAnswer,
    tag: 'calculations',
    summary: 'The same findings under every school, feature by feature',
    body: pictureSchema.omit({ school: true }),
  }),
  nextQuestions: operation(ROUTES.nextQuestions, {
    id: 'rankNextQuestions',
    answer: z.object({ questions: z.array(nextQuestionSchema), limitsOfUse: z.string() }),
    tag: 'calculations',
    summary: 'What nobody has examined, ranked by how much knowing it could change',
    body: pictureSchema.omit({ decisions: true }),
  }),
  reliance: operation(ROUTES.reliance, {
    id: 'findReliance',
    answer: z.object({
      reliance: z.partialRecord(featureIdSchema, z.array(relianceSchema)),
      limitsOfUse: z.string(),
    }),
    tag: 'calculations',
    summary: 'For each feature the findings that its target depends on',
    body: pictureSchema.omit({ decisions: true }),
  }),
  whatIf: operation(ROUTES.whatIf, {
    id: 'calculateWhatIf',
    answer: z.object({ regions: z.array(regionChangeSchema), caution: z.string(), limitsOfUse: z.string() }),
    tag: 'calculations',
    summary: 'Direction and rough size of load changes when shoe or step rate change; direction, not dose',
    body: z.strictObject({ from: scenarioSchema, to: scenarioSchema }),
  }),
  sizes: operation(ROUTES.sizes, {
    id: 'calculateSizes',
    answer: z.array(sizeRowSchema),
    tag: 'calculations',
    summary: 'A foot length in every size system, with the assumption of each',
    body: z.strictObject({
      footLengthMm: z
        .number()
        .min(90, 'A foot length lies between 90 and 360 mm.')
        .max(360, 'A foot length lies between 90 and 360 mm.'),
      allowanceMm: z.number().min(5).max(25).optional(),
      ballWidthMm: z.number().min(40).max(160).optional(),
      ballGirthMm: z.number().min(100).max(400).optional(),
      group: z.enum(['men', 'women', 'child']).optional(),
    }),
  }),
  socks: operation(ROUTES.socks, {
    id: 'calculateSocks',
    answer: sockAnswerSchema,
    tag: 'calculations',
    summary: 'Fewest prosthetic socks that make a wanted ply',
    body: z.strictObject({
      inventory: drawerSchema,
      wantedPly: z.int().min(0).max(40),
      needsHole: z.boolean(),
    }),
  }),
  alignment: operation(ROUTES.alignment, {
    id: 'calculateAlignment',
    answer: shankAnswerSchema,
    tag: 'calculations',
    summary: 'Lean of a prosthetic shank in a shoe',
    body: z.strictObject({
      shoeRiseMm: z.number(),
      setRiseMm: z.number(),
      leverMm: z.number(),
      /** Highest rise that an adjustable ankle can be set for. */
      ankleToMm: z.number().min(0).max(80).optional(),
      /** Thickest wedge that the shoe’s heel holds. */
      holdsWedgeMm: z.number().min(0).max(30).optional(),
    }),
  }),
  wear: operation(ROUTES.wear, {
    id: 'calculateWear',
    answer: wearForecastSchema,
    tag: 'calculations',
    summary:
      'Replacement window of a pair in its own clock: kilometres, hours, hours on the feet or days worn',
    body: z.strictObject({
      school: lifeSchoolSchema.default('median'),
      use: keySchema<Use>(CLOCK_OF_USE).default('road-running'),
      racing: z.enum(['raced-only', 'also-trained']).optional(),
      bodyMassKg: z.number().min(8).max(320).nullable().default(null),
      surface: z.enum(['hard', 'mixed', 'soft']).nullable().default(null),
      hills: z.boolean().optional(),
      landing: z.enum(['heel', 'midfoot', 'forefoot']).optional(),
      heat: z.boolean().optional(),
      rotation: z.boolean().optional(),
      shelfYears: z.number().min(0).max(60).optional(),
      features: featureValuesSchema.optional(),
      ageDays: z.number().min(0).max(20000),
      log: z
        .array(z.strictObject({ day: z.number(), amount: z.number().min(0) }))
        .max(5000)
        .default([]),
      madeDaysAgo: z.number().min(0).max(20000).nullable().default(null),
      expectedWeekly: z.number().min(0).max(400).nullable().default(null),
      inspections: z
        .array(z.strictObject({ day: z.number().min(0).max(20000), signs: signAnswersSchema }))
        .max(500)
        .default([]),
    }),
  }),
} as const;
