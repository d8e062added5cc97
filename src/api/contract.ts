import { z } from 'zod';
import { schoolSchema } from '@/core/prescribe/schema';
import { calculations } from './calculations';
import { byId, CLINICIANS, lifeSchoolSchema } from './common';
import { devices } from './devices';
import { knowledge } from './knowledge';
import { operation } from './operation';
import { shoes } from './shoes';
import { handOverSchema, isoDay, savedStepSchema, stepStateSchema } from './visit-schema';

const named = (what: string) => z.string().trim().min(1, `Enter the ${what}.`).max(120);

export const patientSchema = z.strictObject({
  givenName: named('given name'),
  familyName: named('family name'),
  bornOn: isoDay
    .refine((day) => day <= new Date().toISOString().slice(0, 10), 'A date of birth cannot lie ahead.')
    .refine((day) => day > '1900-01-01', 'Check the year of birth.'),
  sizingGroup: z.enum(['men', 'women', 'child']),
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

/** Every call below /api/v1. */
export const api = {
  ...devices,
  ...calculations,
  ...knowledge,
  ...shoes,
  today: operation({
    id: 'today',
    method: 'GET',
    path: '/today',
    tag: 'records',
    summary: 'Who needs what, most urgent first',
  }),
  findPatients: operation({
    id: 'findPatients',
    method: 'GET',
    path: '/patients',
    tag: 'records',
    summary: 'Patients by part of the name',
    query: z.object({ q: z.string().max(80).optional() }),
  }),
  addPatient: operation({
    id: 'addPatient',
    method: 'POST',
    path: '/patients',
    tag: 'records',
    summary: 'Add a patient',
    body: patientSchema,
    status: 201,
  }),
  patient: operation({
    id: 'readPatient',
    method: 'GET',
    path: '/patients/{id}',
    tag: 'records',
    summary: 'A patient with pairs and visits',
    params: byId,
  }),
  changePatient: operation({
    id: 'changePatient',
    method: 'PATCH',
    path: '/patients/{id}',
    tag: 'records',
    summary: 'Change a patient’s record',
    params: byId,
    body: patientSchema.partial(),
  }),
  startVisit: operation({
    id: 'startVisit',
    method: 'POST',
    path: '/patients/{id}/visits',
    tag: 'visits',
    summary: 'Start a visit, or continue the open one',
    params: byId,
    status: 201,
  }),
  visit: operation({
    id: 'readVisit',
    method: 'GET',
    path: '/visits/{id}',
    tag: 'visits',
    summary: 'A visit with every saved step',
    params: byId,
  }),
  saveStep: operation({
    id: 'saveStep',
    method: 'PUT',
    path: '/visits/{id}/steps/{step}',
    tag: 'visits',
    summary: 'Save one step; 409 with the other version when somebody saved first',
    params: z.strictObject({ id: z.uuid(), step: savedStepSchema }),
    body: z.strictObject({
      revision: z.int().min(0),
      state: stepStateSchema.exclude(['untouched']),
      content: z.record(z.string(), z.unknown()),
    }),
  }),
  presence: operation({
    id: 'presence',
    method: 'POST',
    path: '/visits/{id}/presence',
    tag: 'visits',
    summary: 'Say which step one is on; who else is here',
    params: byId,
    body: z.strictObject({ step: savedStepSchema }),
  }),
  closeVisit: operation({
    id: 'closeVisit',
    method: 'POST',
    path: '/visits/{id}/close',
    tag: 'visits',
    summary: 'End a visit without a hand-over, with a reason',
    params: byId,
    roles: CLINICIANS,
    body: z.strictObject({ reason: z.string().trim().min(3, 'Write why nothing was handed over.').max(600) }),
  }),
  handOver: operation({
    id: 'handOver',
    method: 'POST',
    path: '/visits/{id}/hand-over',
    tag: 'visits',
    summary: 'Issue the specification and record the pair; refused while a warning sign is open',
    params: byId,
    body: handOverSchema,
    status: 201,
    roles: CLINICIANS,
  }),
  logPair: operation({
    id: 'logPair',
    method: 'POST',
    path: '/pairs/{id}/log',
    tag: 'records',
    summary: 'Log distance and comfort of a pair',
    params: byId,
    body: pairLogSchema,
    status: 201,
  }),
  endPair: operation({
    id: 'endPair',
    method: 'POST',
    path: '/pairs/{id}/end',
    tag: 'records',
    summary: 'Retire a pair',
    params: byId,
    body: z.strictObject({ on: isoDay }),
  }),
  changeClinic: operation({
    id: 'changeClinic',
    method: 'PATCH',
    path: '/clinic',
    tag: 'clinic',
    summary: 'Change the clinic’s defaults',
    body: z.strictObject({ school: schoolSchema.optional(), lifeSchool: lifeSchoolSchema.optional() }),
    roles: ['lead'],
  }),
  tokens: operation({
    id: 'listTokens',
    method: 'GET',
    path: '/tokens',
    tag: 'clinic',
    summary: 'One’s own access tokens',
  }),
  addToken: operation({
    id: 'addToken',
    method: 'POST',
    path: '/tokens',
    tag: 'clinic',
    summary: 'Make an access token; it is shown once',
    body: z.strictObject({ name: named('name of the token'), days: z.int().min(1).max(365) }),
    status: 201,
  }),
  removeToken: operation({
    id: 'removeToken',
    method: 'DELETE',
    path: '/tokens/{id}',
    tag: 'clinic',
    summary: 'Revoke an access token',
    params: byId,
    status: 204,
  }),
} as const;

export type Api = typeof api;
