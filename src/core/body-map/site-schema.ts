import { z } from 'zod';
import { SITES, siteOf } from './sites';

/** A place on the drawings, by its name. */
export const siteSchema = z
  .string()
  .refine((id) => siteOf(id) !== undefined, 'This is not a place on the drawing.')
  .meta({ example: SITES[0]?.id });
