import { z } from 'zod';
import { SCHOOL_CHOICES, type SchoolChoice } from '../knowledge/schools';
import { axisOf } from '../shoe/feature-kinds';
import { FEATURE_IDS, type FeatureId, featureOf, isPerFoot } from '../shoe/features';
import { LEVERS, type Lever } from '../what-if/effects';

export const schoolSchema = z.enum(Object.keys(SCHOOL_CHOICES) as [SchoolChoice, ...SchoolChoice[]]);
export const featureIdSchema = z.enum(FEATURE_IDS as [FeatureId, ...FeatureId[]]);

export const setAsideSchema = z.strictObject({
  rule: z.string().max(80),
  feature: featureIdSchema,
  reason: z.string().trim().min(3, 'Write the reason: it is kept with the specification.').max(600),
});

const reason = z.string().trim().min(3, 'Write the reason: it is kept with the specification.').max(600);

/** A clinician's word on one target, with its reason. */
export const decisionSchema = z
  .strictObject({
    feature: featureIdSchema,
    side: z.enum(['left', 'right']).optional(),
    kind: z.enum(['pin', 'loosen', 'overrule']),
    band: z.strictObject({ from: z.number(), to: z.number() }).optional(),
    options: z.array(z.string().max(60)).min(1).max(30).optional(),
    reason,
  })
  .superRefine(({ feature, side, band, options }, context) => {
    const definition = featureOf(feature);
    const wrong = (path: string, message: string) =>
      context.addIssue({ code: 'custom', path: [path], message });
    if ((side !== undefined) !== isPerFoot(feature))
      wrong('side', isPerFoot(feature) ? 'Say which foot.' : 'Both shoes of the pair have this alike.');
    if (definition.kind === 'choice') {
      if (!options) wrong('options', 'Choose at least one option.');
      for (const option of options ?? [])
        if (!(option in definition.options)) wrong('options', `${definition.label} has no “${option}”.`);
      return;
    }
    const axis = axisOf(definition);
    if (!band) wrong('band', 'Give both ends of the band.');
    else if (band.from > band.to) wrong('band', 'The band ends before it begins.');
    else if (band.from < axis.from || band.to > axis.to)
      wrong('band', `${definition.label} lies between ${axis.from} and ${axis.to}.`);
  });

export const scenarioSchema = z.strictObject(
  Object.fromEntries(
    Object.entries(LEVERS).map(([lever, { from, to }]) => [lever, z.number().min(from).max(to)]),
  ) as Record<Lever, z.ZodNumber>,
);
