import { z } from 'zod';
import { keySchema } from '@/core/tables/key-schema';
import { LIFE_SCHOOLS, type LifeSchool } from '@/core/wear/life-schools';

/** A record named in the path. */
export const byId = z.strictObject({ id: z.uuid('This is not an identifier.') });

/** Who may issue and change what is issued. */
export const CLINICIANS = ['lead', 'practitioner'] as const;

export const lifeSchoolSchema = keySchema<LifeSchool>(LIFE_SCHOOLS);
