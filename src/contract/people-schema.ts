import { z } from 'zod';
import { dayOf } from '@/core/calendar/days';
import { FINDINGS } from '@/core/findings/findings';
import { schoolSchema } from '@/core/prescribe/engine/schema';
import { keySchema } from '@/core/tables/key-schema';
import { isoDay } from '@/core/visit/contents';
import { idSchema, momentSchema } from './answers/shared';
import { lifeSchoolSchema } from './common';
import type { Role } from './routes';

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

/** Where somebody stands in a clinic. */
export const PERSON_STATES = {
  invited: 'invited',
  active: 'active',
  suspended: 'suspended',
  left: 'has left',
} as const;
export type PersonState = keyof typeof PERSON_STATES;

export const ROLE_NAMES = {
  lead: 'lead',
  practitioner: 'practitioner',
  assistant: 'assistant',
} as const satisfies Record<Role, string>;

const email = z.email('An e-mail address, such as name@clinic.example.').max(254);

export const invitationSchema = z.strictObject({
  name: named('name'),
  email,
  role: keySchema<Role>(ROLE_NAMES),
});

/** What a lead does with a colleague. */
export const personChangeSchema = z.strictObject({
  role: keySchema<Role>(ROLE_NAMES).optional(),
  state: z.enum(['active', 'suspended', 'left']).optional(),
});

export const PERSON_ACTIONS = {
  'sign-out-everywhere': 'Sign out everywhere',
  'reset-password': 'Send a link for a new password',
  'drop-second-factor': 'Remove the second factor',
} as const;
export type PersonAction = keyof typeof PERSON_ACTIONS;
export const personActionSchema = z.strictObject({ action: keySchema<PersonAction>(PERSON_ACTIONS) });

export interface PersonRecord {
  id: string;
  name: string;
  email: string;
  role: Role;
  state: PersonState;
  lastSignInAt: string | null;
  secondFactor: boolean;
  sessions: number;
}
export const personRecordSchema: z.ZodType<PersonRecord> = z.object({
  id: z.string(),
  name: z.string(),
  email: z.string(),
  role: keySchema<Role>(ROLE_NAMES),
  state: keySchema<PersonState>(PERSON_STATES),
  lastSignInAt: momentSchema.nullable(),
  secondFactor: z.boolean(),
  sessions: z.int(),
});

/** What has become of a letter. */
export const MAIL_STATES = {
  waiting: 'waiting to be sent',
  sent: 'sent',
  shown: 'shown here only',
  failed: 'could not be sent',
} as const;
export type MailState = keyof typeof MAIL_STATES;

export interface MailRecord {
  id: string;
  recipient: string;
  subject: string;
  body: string;
  state: MailState;
  problem: string | null;
  writtenAt: string;
}
export const mailRecordSchema: z.ZodType<MailRecord> = z.object({
  id: idSchema,
  recipient: z.string(),
  subject: z.string(),
  body: z.string(),
  state: keySchema<MailState>(MAIL_STATES),
  problem: z.string().nullable(),
  writtenAt: momentSchema,
});

/** A password set through a link. */
export const joinSchema = z.strictObject({
  token: z.string().min(20, 'This link is not whole.').max(200),
  password: z.string().max(256),
});

/** The first clinic and its first lead. */
export const setUpSchema = z.strictObject({
  code: z.string().trim().min(1, 'Type the code that the console shows.').max(40),
  clinic: named('name of the clinic'),
  place: named('place'),
  name: named('name'),
  email,
  password: z.string().max(256),
});

/** What the trail tells of. */
export const AUDIT_ACTIONS = {
  read: 'read',
  write: 'changed',
  export: 'took out',
  'sign-in': 'signed in',
  refused: 'was refused',
  erase: 'erased',
} as const;
export type AuditAction = keyof typeof AUDIT_ACTIONS;

export const erasureSchema = z.strictObject({
  /** Typed by whoever erases, so that nobody erases the wrong person. */
  familyName: z.string().max(120),
  reason: z.string().trim().min(3, 'Write why.').max(300),
});

/** Which part of the trail. */
export const auditFilterSchema = z.strictObject({
  from: isoDay.optional(),
  to: isoDay.optional(),
  action: keySchema<AuditAction>(AUDIT_ACTIONS).optional(),
  who: z.string().max(120).optional(),
});
export type AuditFilter = z.infer<typeof auditFilterSchema>;
