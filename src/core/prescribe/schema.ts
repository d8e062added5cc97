import { z } from 'zod';
import { SCHOOL_CHOICES, type SchoolChoice } from '../knowledge/schools';
import { FEATURE_IDS, type FeatureId } from '../shoe/features';

export const schoolSchema = z.enum(Object.keys(SCHOOL_CHOICES) as [SchoolChoice, ...SchoolChoice[]]);
export const featureIdSchema = z.enum(FEATURE_IDS as [FeatureId, ...FeatureId[]]);

export const setAsideSchema = z.strictObject({
  rule: z.string().max(80),
  feature: featureIdSchema,
  reason: z.string().trim().min(3, 'Write the reason: it is kept with the specification.').max(600),
});
