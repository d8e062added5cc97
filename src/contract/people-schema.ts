import { z } from 'zod';
import { breakInSchoolSchema } from '@/core/break-in/schema';
import { isoDay } from '@/core/calendar/iso-day';
import { formatsSchema } from '@/core/formats/formats-schema';
import { schoolSchema } from '@/core/prescribe/engine/schema';
import { retentionSchema } from '@/core/retention/keep-until';
import { keySchema } from '@/core/tables/key-schema';
import { idSchema, momentSchema } from './answers/shared';
import { bringInSchema, lifeSchoolSchema, named } from './common';
import type { Role } from './routes';

/** An hour of the day. */
export const hourSchema = z.int().min(0).max(23);

export const clinicDefaultsSchema = z.strictObject({
  school: schoolSchema.optional(),
  lifeSchool: lifeSchoolSchema.optional(),
  bringIn: bringInSchema.optional(),
  phone: z.string().trim().max(60, 'Use at most 60 letters.').optional(),
  breakInSchool: breakInSchoolSchema.optional(),
  name: named('name of the clinic').optional(),
  place: named('place').optional(),
  formats: formatsSchema.optional(),
  /** Who has no second factor yet is led to set one up and sees nothing else. */
  secondFactorRequired: z.boolean().optional(),
  retention: retentionSchema.optional(),
  quietFrom: hourSchema.optional(),
  quietTo: hourSchema.optional(),
  digest: z.boolean().optional(),
});

/** A place of the clinic where patients are seen. */
export const siteSchema = z.strictObject({ name: named('name of the site'), place: named('place') });
export interface SiteRecord {
  id: string;
  name: string;
  place: string;
  closed: boolean;
}
export const siteRecordSchema: z.ZodType<SiteRecord> = z.object({
  id: idSchema,
  name: z.string(),
  place: z.string(),
  closed: z.boolean(),
});

/** A browser in which somebody is signed in. */
export interface SessionRecord {
  id: string;
  /** As the browser names itself. */
  browser: string;
  since: string;
  lastUsedAt: string;
  /** The one that asks. */
  here: boolean;
}
export const sessionRecordSchema: z.ZodType<SessionRecord> = z.object({
  id: z.string(),
  browser: z.string(),
  since: momentSchema,
  lastUsedAt: momentSchema,
  here: z.boolean(),
});

/** What a token is for: parts of the API, by the tag of each operation. */
export const AREAS = {
  calculations: 'calculations',
  knowledge: 'rules',
  records: 'patients and pairs',
  visits: 'visits',
  shoes: 'shoes',
  orders: 'orders',
  clinic: 'the clinic and its tokens',
  people: 'people, trail and outbox',
  devices: 'simulated devices',
  calendar: 'the calendar of contacts',
} as const;
export type Area = keyof typeof AREAS;

export const TOKEN_ACCESS = { read: 'reads only', write: 'reads and changes' } as const;
export type TokenAccess = keyof typeof TOKEN_ACCESS;

export const newTokenSchema = z.strictObject({
  name: named('name of the token'),
  days: z
    .int('Write whole days.')
    .min(1, 'A token lives 1 to 365 days.')
    .max(365, 'A token lives 1 to 365 days.'),
  access: keySchema<TokenAccess>(TOKEN_ACCESS).default('read'),
  /** Absent: every area. */
  areas: z.array(keySchema<Area>(AREAS)).min(1, 'Choose at least one area.').optional(),
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
  /** Signs in with an account of another clinic: password and second factor are looked after there. */
  elsewhere: boolean;
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
  elsewhere: z.boolean(),
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

/** One's own password, changed by whoever knows the one that holds. */
export const passwordChangeSchema = z.strictObject({
  current: z.string().min(1, 'Type the password that you have.').max(256),
  password: z.string().max(256),
});

/** The first clinic and its first lead. */
export const setUpSchema = z.strictObject({
  code: z.string().trim().min(1, 'Type the code that the console shows.').max(40),
  clinic: named('name of the clinic'),
  place: named('place'),
  formats: formatsSchema,
  school: schoolSchema,
  lifeSchool: lifeSchoolSchema,
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

/** Which part of the trail. */
export const auditFilterSchema = z.strictObject({
  from: isoDay.optional(),
  to: isoDay.optional(),
  action: keySchema<AuditAction>(AUDIT_ACTIONS).optional(),
  who: z.string().max(120).optional(),
});
export type AuditFilter = z.infer<typeof auditFilterSchema>;
