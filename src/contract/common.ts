import { z } from 'zod';
import { keySchema } from '@/core/tables/key-schema';
import { LIFE_SCHOOLS, type LifeSchool } from '@/core/wear/life-schools';

/** A record named in the path. */
export const byId = z.strictObject({ id: z.uuid('This is not an identifier.') });

/** The largest whole number that a column of the records holds. */
export const INT4_MAX = 2_147_483_647;

export const lifeSchoolSchema = keySchema<LifeSchool>(LIFE_SCHOOLS);
