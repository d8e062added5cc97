import { z } from 'zod';
import { keySchema } from '../tables/key-schema';
import {
  CURRENCIES,
  type Currency,
  DATE_STYLES,
  type DateStyle,
  DISTANCE_UNITS,
  type DistanceUnit,
  type Formats,
  USUAL_SIZES,
  type UsualSizes,
} from './formats';

/** Formats as they are sent and stored. */
export const formatsSchema: z.ZodType<Formats, Formats> = z.strictObject({
  date: keySchema<DateStyle>(DATE_STYLES),
  distance: keySchema<DistanceUnit>(DISTANCE_UNITS),
  currency: keySchema<Currency>(CURRENCIES),
  sizes: keySchema<UsualSizes>(USUAL_SIZES),
});
