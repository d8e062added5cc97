import { z } from 'zod';
import { LIFE_SCHOOLS, type LifeSchool } from '@/core/wear/life-schools';

/** A record named in the path. */
export const byId = z.strictObject({ id: z.uuid('This is not an identifier.') });

/** Who may issue and change what is issued. */
export const CLINICIANS = ['lead', 'practitioner'] as const;

/** One of the names of a table. */
export const keysOf = <K extends string>(table: Readonly<Record<K, unknown>>) =>
  z.enum(Object.keys(table) as [K, ...K[]]);

export const lifeSchoolSchema = keysOf<LifeSchool>(LIFE_SCHOOLS);
