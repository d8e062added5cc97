import { z } from 'zod';
import { dayOf } from '@/core/calendar/days';
import { FINDINGS } from '@/core/findings/findings';
import { schoolSchema } from '@/core/prescribe/engine/schema';
import { keySchema } from '@/core/tables/key-schema';
import { isoDay } from '@/core/visit/contents';
import { lifeSchoolSchema } from './common';

const named = (what: string) => z.string().trim().min(1, `Enter the ${what}.`).max(120);

export const patientSchema = z.strictObject({
  givenName: named('given name'),
  familyName: named('family name'),
  bornOn: isoDay
    .refine((day) => day <= dayOf(new Date()), 'A date of birth cannot lie ahead.')
    .refine((day) => day > '1900-01-01', 'Check the year of birth.'),
  sizingGroup: keySchema(FINDINGS.sizingGroup.options),
  heightMm: z
    .int()
    .min(400, 'Height lies between 40 and 250 cm.')
    .max(2500, 'Height lies between 40 and 250 cm.')
    .nullish(),
  occupation: z.string().max(200).optional(),
  school: schoolSchema.nullish(),
});

export const pairLogSchema = z.strictObject({
  on: isoDay,
  distanceKm: z
    .number()
    .min(0, 'A distance is not negative.')
    .max(3000, 'Over 3000 km in one entry: check the unit.')
    .nullish(),
  comfort: z
    .int('Comfort is a whole number from 0 to 100.')
    .min(0)
    .max(100, 'Comfort lies between 0 and 100.')
    .nullish(),
  note: z.string().max(600).optional(),
});

export const clinicDefaultsSchema = z.strictObject({
  school: schoolSchema.optional(),
  lifeSchool: lifeSchoolSchema.optional(),
});

export const newTokenSchema = z.strictObject({
  name: named('name of the token'),
  days: z
    .int('Write whole days.')
    .min(1, 'A token lives 1 to 365 days.')
    .max(365, 'A token lives 1 to 365 days.'),
});
