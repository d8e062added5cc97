import { z } from 'zod';
import { keySchema } from '@/core/tables/key-schema';
import { BRING_IN, type BringIn } from '@/core/wear/bring-in';
import { LIFE_SCHOOLS, type LifeSchool } from '@/core/wear/life-schools';
import { idSchema } from './answers/shared';

/** A record named in the path. */
export const byId = z.strictObject({ id: z.uuid('This is not an identifier.') });

/** The largest whole number that a column of the records holds. */
export const INT4_MAX = 2_147_483_647;

export const bringInSchema = keySchema<BringIn>(BRING_IN);
export const lifeSchoolSchema = keySchema<LifeSchool>(LIFE_SCHOOLS);

/** A name that must be there: `Enter the place.` */
export const named = (what: string) => z.string().trim().min(1, `Enter the ${what}.`).max(120);

/** Something that was added, by its identifier. */
export const addedSchema = z.object({ id: idSchema });
