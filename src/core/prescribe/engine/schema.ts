import { z } from 'zod';
import { SCHOOL_CHOICES } from '../../knowledge/schools';
import { FEATURES } from '../../shoe/features';
import { keySchema } from '../../tables/key-schema';
import { LEVERS, type Lever } from '../../what-if/effects';
import { decisionProblems } from './decision-problems';
import type { Decision } from './specification';

export const schoolSchema = keySchema(SCHOOL_CHOICES);
export const featureIdSchema = keySchema(FEATURES);

export const setAsideSchema = z.strictObject({
  rule: z.string().max(80),
  feature: featureIdSchema,
  reason: z.string().trim().min(3, 'Write the reason: it is kept with the specification.').max(600),
});

/** A clinician's word on one target, with its reason. */
export const decisionSchema = z
  .strictObject({
    feature: featureIdSchema,
    side: z.enum(['left', 'right']).optional(),
    kind: z.enum(['pin', 'loosen', 'overrule']),
    band: z.strictObject({ from: z.number(), to: z.number() }).optional(),
    options: z.array(z.string().max(60)).max(30).optional(),
    reason: z.string().trim().max(600),
  })
  .superRefine((decision, context) => {
    for (const { field, message } of decisionProblems(decision as Decision))
      context.addIssue({ code: 'custom', path: [field], message });
  });

export const scenarioSchema = z.strictObject(
  Object.fromEntries(
    Object.entries(LEVERS).map(([lever, { from, to }]) => [lever, z.number().min(from).max(to)]),
  ) as Record<Lever, z.ZodNumber>,
);
