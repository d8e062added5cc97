import { z } from 'zod';
import { BENCH_LENGTHS, BENCH_SIGNS, type BenchLength, type BenchSign } from '../../shoe/bench/bench-tests';
import { type FeatureId, featureOf, isFeatureId } from '../../shoe/features';
import { keySchema } from '../../tables/key-schema';

/** Values of features, each within its own scale. */
export const featureValuesSchema = z
  .record(z.string(), z.union([z.number(), z.string()]))
  .superRefine((values, context) => {
    for (const [id, value] of Object.entries(values)) {
      const at = (message: string) => context.addIssue({ code: 'custom', path: [id], message });
      if (!isFeatureId(id)) {
        at('No such feature.');
        continue;
      }
      const feature = featureOf(id);
      if (feature.kind === 'choice') {
        if (!Object.hasOwn(feature.options, String(value))) at(`“${value}” is not an option.`);
        continue;
      }
      const [from, to] = feature.kind === 'scale' ? feature.bounds : [1, feature.anchors.length];
      if (typeof value !== 'number' || value < from || value > to)
        at(`${feature.label} lies between ${from} and ${to}.`);
    }
  })
  .transform((values) => values as Partial<Record<FeatureId, number | string>>)
  .meta({ example: { drop: 8 } });

const sole = z
  .number()
  .min(5, 'A length lies between 5 and 420 mm.')
  .max(420, 'A length lies between 5 and 420 mm.');

/** What the ten tests gave; absent is not done. */
export const benchAnswersSchema = z.strictObject({
  values: featureValuesSchema.optional(),
  lengths: z.partialRecord(keySchema<BenchLength>(BENCH_LENGTHS), sole).optional(),
  signs: z.partialRecord(keySchema<BenchSign>(BENCH_SIGNS), z.enum(['yes', 'no'])).optional(),
});
