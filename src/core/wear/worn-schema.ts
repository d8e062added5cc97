import { z } from 'zod';
import { SIDES } from '../findings/finding-kinds';
import { SIGNS } from '../signs/signs';
import { keySchema } from '../tables/key-schema';
import { keysOf } from '../tables/keys-of';
import { GRADES, LENGTHS, ZONES } from './wear-map';

/** What was seen of a worn pair, sign by sign. */
export const signAnswersSchema = z.strictObject({
  creases: keySchema(SIGNS.creases.options).optional(),
  fold: keySchema(SIGNS.fold.options).optional(),
  foam: keySchema(SIGNS.foam.options).optional(),
  counter: keySchema(SIGNS.counter.options).optional(),
  tilt: keySchema(SIGNS.tilt.options).optional(),
  through: keySchema(SIGNS.through.options).optional(),
  pattern: keySchema(SIGNS.pattern.options).optional(),
  lining: keySchema(SIGNS.lining.options).optional(),
  ache: keySchema(SIGNS.ache.options).optional(),
});

const wornSole = z.partialRecord(z.enum(ZONES), z.literal(GRADES)).optional();
export const wearMapSchema = z.strictObject({ left: wornSole, right: wornSole });

const creased = z
  .array(z.enum(keysOf(LENGTHS)))
  .max(3)
  .optional();
const midsoleSide = z.strictObject({ inner: creased, outer: creased }).optional();
export const midsoleSchema = z.strictObject({ left: midsoleSide, right: midsoleSide });

const solePlace = z.strictObject({ across: z.number().min(-1).max(1), along: z.number().min(0).max(1) });
export const soleMarksSchema = z
  .array(
    z.strictObject({
      id: z.string().min(1).max(40),
      side: z.enum(SIDES),
      at: solePlace,
      to: solePlace.optional(),
    }),
  )
  .max(20, 'Twenty marks at most.');

/** What an inspection of a pair in use saw; what is absent was not looked at. */
export const inspectionContentSchema = z.strictObject({
  signs: signAnswersSchema.optional(),
  wear: wearMapSchema.optional(),
  midsole: midsoleSchema.optional(),
  soleMarks: soleMarksSchema.optional(),
  /** Kept or worn in heat. */
  heat: z.boolean().optional(),
  note: z.string().max(600, 'Use at most 600 letters.').optional(),
});
export type InspectionContent = z.infer<typeof inspectionContentSchema>;
