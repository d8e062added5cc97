import { z } from 'zod';
import { dayOf } from '@/core/calendar/days';
import { isoDay } from '@/core/calendar/iso-day';
import { CONSENT_WAYS, CONSENTS, type ConsentKind, type ConsentWay } from '@/core/contact/consent';
import { CONTACT_WAYS, type ContactWay } from '@/core/contact/reach';
import { FINDINGS } from '@/core/findings/findings';
import { schoolSchema } from '@/core/prescribe/engine/schema';
import { retentionSchema } from '@/core/retention/keep-until';
import { keySchema } from '@/core/tables/key-schema';
import { RETIRED_BECAUSE, type RetiredBecause } from '@/core/wear/retired';
import { daySchema, idSchema, momentSchema } from './answers/shared';
import { named } from './common';

const mail = z.union([
  z.literal(''),
  z.email('An e-mail address, such as name@home.example, or nothing.').max(254),
]);

export const patientSchema = z.strictObject({
  givenName: named('given name'),
  familyName: named('family name'),
  bornOn: isoDay
    .refine((day) => day <= dayOf(new Date()), 'A date of birth cannot be in the future.')
    .refine((day) => day > '1900-01-01', 'Check the year of birth.'),
  sizingGroup: keySchema(FINDINGS.sizingGroup.options),
  heightMm: z
    .int()
    .min(400, 'Height lies between 40 and 250 cm.')
    .max(2500, 'Height lies between 40 and 250 cm.')
    .nullish(),
  occupation: z.string().max(200).optional(),
  school: schoolSchema.nullish(),
  phone: z
    .string()
    .max(40)
    .regex(/^[\d\s+()/.x-]*$/i, 'Figures, spaces and + ( ) / . - only.')
    .optional(),
  email: mail.optional(),
  address: z.string().max(400).optional(),
  contactBy: keySchema<ContactWay>(CONTACT_WAYS).optional(),
  /** In which their sheets are written, as a tag by BCP 47. */
  language: z.string().min(2).max(35).optional(),
});

/** What may be changed of a patient: the record, and whether it stands among the others. */
export const patientChangeSchema = patientSchema.partial().extend({ archived: z.boolean().optional() });

export const pairLogSchema = z.strictObject({
  on: isoDay,
  distanceKm: z
    .number()
    .min(0, 'A distance is not negative.')
    .max(3000, 'Over 3000 km in one entry: check the unit.')
    .nullish(),
  /** In the unit of the pair's clock: hours, hours on the feet, days worn. */
  amount: z
    .number()
    .min(0, 'An amount is not negative.')
    .max(2000, 'Over 2000 in one entry: check it.')
    .nullish(),
  comfort: z
    .int('Comfort is a whole number from 0 to 100.')
    .min(0)
    .max(100, 'Comfort lies between 0 and 100.')
    .nullish(),
  note: z.string().max(600).optional(),
});

export const retirePairSchema = z.strictObject({
  on: isoDay,
  because: keySchema<RetiredBecause>(RETIRED_BECAUSE),
});

const notAhead = isoDay.refine((day) => day <= dayOf(new Date()), 'This day is in the future.');

export const consentSchema = z.strictObject({
  kind: keySchema<ConsentKind>(CONSENTS),
  how: keySchema<ConsentWay>(CONSENT_WAYS),
  givenOn: notAhead,
  note: z.string().max(300).optional(),
});
export const withdrawalSchema = z.strictObject({ on: notAhead });

export interface ConsentRecord {
  id: string;
  kind: ConsentKind;
  how: ConsentWay;
  givenOn: string;
  note: string;
  recordedBy: string;
  withdrawnOn: string | null;
}
export const consentRecordSchema: z.ZodType<ConsentRecord> = z.object({
  id: idSchema,
  kind: keySchema<ConsentKind>(CONSENTS),
  how: keySchema<ConsentWay>(CONSENT_WAYS),
  givenOn: daySchema,
  note: z.string(),
  recordedBy: z.string(),
  withdrawnOn: daySchema.nullable(),
});

/** One of two records that may be one person, with what hangs on it. */
export interface LikelyRecord {
  id: string;
  name: string;
  bornOn: string;
  occupation: string;
  phone: string;
  since: string;
  visits: number;
  pairs: number;
  orders: number;
  openVisit: boolean;
}
export const likelyRecordSchema: z.ZodType<LikelyRecord> = z.object({
  id: idSchema,
  name: z.string(),
  bornOn: daySchema,
  occupation: z.string(),
  phone: z.string(),
  since: daySchema,
  visits: z.int(),
  pairs: z.int(),
  orders: z.int(),
  openVisit: z.boolean(),
});

export const duplicatesSchema = z.object({
  likely: z.array(z.object({ why: z.string(), records: z.tuple([likelyRecordSchema, likelyRecordSchema]) })),
  merged: z.array(
    z.object({
      id: idSchema,
      kept: idSchema,
      name: z.string(),
      by: z.string(),
      at: momentSchema,
      moved: z.int(),
    }),
  ),
});
export type Duplicates = z.infer<typeof duplicatesSchema>;

export const mergeSchema = z.strictObject({ folded: z.uuid('This is not an identifier.') });

export const erasureSchema = z.strictObject({
  /** Typed by whoever erases, so that nobody erases the wrong person. */
  familyName: z.string().max(120),
  reason: z.string().trim().min(3, 'Write why.').max(300),
});

/** Erased at once, or closed from view because a rule obliges to keep the record. */
export const erasureAnswerSchema = z.object({
  keptUntil: daySchema.nullable(),
  because: z.string().nullable(),
});

/** What rules of retention would mean for the records that there are. */
export const retentionPreviewSchema = z.object({
  records: z.int(),
  kept: z.int(),
  past: z.int(),
  /** The first of those past their time, the longest past first. */
  first: z.array(z.object({ id: idSchema, name: z.string(), lastOn: daySchema, until: daySchema })),
});
export type RetentionPreview = z.infer<typeof retentionPreviewSchema>;

/** As many as the preview said, so that nobody erases others than were looked at. */
export const erasePastSchema = z.strictObject({ retention: retentionSchema, count: z.int().min(1) });

export const closedRecordSchema = z.object({
  id: idSchema,
  name: z.string(),
  until: daySchema,
  because: z.string(),
});
export type ClosedRecord = z.infer<typeof closedRecordSchema>;
