import { z } from 'zod';
import { isoDay } from '../calendar/iso-day';
import { BAD, type BadId, GOOD, type GoodId } from '../history/before';
import { featureValuesSchema } from '../shoe/bench/bench-schema';
import { FEATURES } from '../shoe/features';
import { keySchema } from '../tables/key-schema';
import { CLOCK_OF_USE, type Use } from '../wear/clocks';
import { ERRANDS, type Errands, type HeelKind, INSERTS } from '../wear/old-pair';
import { midsoleSchema, signAnswersSchema, soleMarksSchema, wearMapSchema } from '../wear/worn-schema';

/** A pair of earlier years that served or failed, with what its model had on the day on which it was named. */
export const pairBeforeSchema = z.strictObject({
  id: z.string().min(1).max(40),
  verdict: z.enum(['served', 'failed']),
  model: z.uuid().optional(),
  title: z.string().max(200),
  months: z.number().min(0, 'Months are not negative.').max(600, 'Fifty years at most.').optional(),
  good: z.array(keySchema<GoodId>(GOOD)).max(12).optional(),
  bad: z.array(keySchema<BadId>(BAD)).max(12).optional(),
  values: featureValuesSchema.optional(),
});
export const pairsBeforeSchema = z.array(pairBeforeSchema).max(12);

/** A pair that the patient brought. */
export const oldPairSchema = z.strictObject({
  id: z.string().min(1).max(40),
  title: z.string().max(200),
  model: z.uuid().optional(),
  pair: z.uuid().optional(),
  use: keySchema<Use>(CLOCK_OF_USE),
  isMain: z.boolean().optional(),
  madeOn: isoDay.optional(),
  boughtOn: isoDay.optional(),
  firstWornOn: isoDay.optional(),
  amount: z.number().min(0, 'An amount is not negative.').max(20_000, 'Over 20 000: check it.').optional(),
  errands: keySchema<Errands>(ERRANDS).optional(),
  isUnworn: z.boolean().optional(),
  insert: keySchema(INSERTS).optional(),
  isInsoleGlued: z.boolean().optional(),
  isBackless: z.boolean().optional(),
  heelKind: keySchema<HeelKind>(FEATURES.heelKind.options).optional(),
  heelHeightMm: z.number().min(0, 'A height is not negative.').max(160, 'Up to 160 mm.').optional(),
  smoothPatchMm2: z.number().min(0).max(20_000, 'A patch is no larger than the sole.').optional(),
  signs: signAnswersSchema.optional(),
  wear: wearMapSchema.optional(),
  midsole: midsoleSchema.optional(),
  soleMarks: soleMarksSchema.optional(),
  values: featureValuesSchema.optional(),
});
