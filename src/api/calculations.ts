import { z } from 'zod';
import { findingsSchema } from '@/core/picture/schema';
import { decisionSchema, scenarioSchema, schoolSchema, setAsideSchema } from '@/core/prescribe/schema';
import { lifeSchoolSchema } from './common';
import { operation } from './operation';
import { sockKindSchema } from './visit-schema';

/** A picture with the choices under which it is resolved. */
export const pictureSchema = z.strictObject({
  findings: findingsSchema,
  school: schoolSchema.optional(),
  setAside: z.array(setAsideSchema).max(60).optional(),
  decisions: z.array(decisionSchema).max(60).optional(),
});

/** Stateless calculations. */
export const calculations = {
  specification: operation({
    id: 'calculateSpecification',
    method: 'POST',
    path: '/calculations/specification',
    tag: 'calculations',
    summary: 'Resolve findings into a specification, with every reason',
    body: pictureSchema,
  }),
  comparison: operation({
    id: 'compareSchools',
    method: 'POST',
    path: '/calculations/comparison',
    tag: 'calculations',
    summary: 'The same findings under every school, feature by feature',
    body: pictureSchema.omit({ school: true }),
  }),
  nextQuestions: operation({
    id: 'rankNextQuestions',
    method: 'POST',
    path: '/calculations/next-questions',
    tag: 'calculations',
    summary: 'What nobody has examined, ranked by how much knowing it could change',
    body: pictureSchema.omit({ decisions: true }),
  }),
  reliance: operation({
    id: 'findReliance',
    method: 'POST',
    path: '/calculations/reliance',
    tag: 'calculations',
    summary: 'For each feature the findings that its target hangs on',
    body: pictureSchema.omit({ decisions: true }),
  }),
  whatIf: operation({
    id: 'calculateWhatIf',
    method: 'POST',
    path: '/calculations/what-if',
    tag: 'calculations',
    summary: 'Direction and rough size of load changes when shoe or step rate change; direction, not dose',
    body: z.strictObject({ from: scenarioSchema, to: scenarioSchema }),
  }),
  sizes: operation({
    id: 'calculateSizes',
    method: 'POST',
    path: '/calculations/sizes',
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
  socks: operation({
    id: 'calculateSocks',
    method: 'POST',
    path: '/calculations/socks',
    tag: 'calculations',
    summary: 'Fewest prosthetic socks that make a wanted ply',
    body: z.strictObject({
      inventory: z.array(sockKindSchema).max(20),
      wantedPly: z.int().min(0).max(40),
      needsHole: z.boolean(),
    }),
  }),
  alignment: operation({
    id: 'calculateAlignment',
    method: 'POST',
    path: '/calculations/alignment',
    tag: 'calculations',
    summary: 'Lean of a prosthetic shank in a shoe',
    body: z.strictObject({
      shoeRiseMm: z.number(),
      setRiseMm: z.number(),
      leverMm: z.number(),
      adjustable: z.boolean().optional(),
    }),
  }),
  wear: operation({
    id: 'calculateWear',
    method: 'POST',
    path: '/calculations/wear',
    tag: 'calculations',
    summary: 'Replacement window of a pair',
    body: z.strictObject({
      school: lifeSchoolSchema.default('median'),
      racing: z.boolean().default(false),
      bodyMassKg: z.number().min(8).max(320).nullable().default(null),
      surface: z.enum(['hard', 'mixed', 'soft']).nullable().default(null),
      ageDays: z.number().min(0).max(20000),
      log: z
        .array(z.strictObject({ day: z.number(), distanceKm: z.number().min(0) }))
        .max(5000)
        .default([]),
      expectedWeeklyKm: z.number().min(0).max(400).nullable().default(null),
    }),
  }),
} as const;
