import { z } from 'zod';
import {
  clinicRecordSchema,
  patientRecordSchema,
  patientSheetSchema,
  patientSummarySchema,
  presenceAnswerSchema,
  todayItemSchema,
  tokenRecordSchema,
  visitRecordSchema,
} from '@/contract/answers/records';
import { daySchema, idSchema, momentSchema, stepRecordSchema } from '@/contract/answers/shared';
import { handOverSchema, isoDay, savedStepSchema, stepStateSchema } from '@/core/visit/contents';
import { calculations } from './calculations';
import { byId, INT4_MAX } from './common';
import { devices } from './devices';
import { knowledge } from './knowledge';
import { operation } from './operation';
import { people } from './people';
import { clinicDefaultsSchema, newTokenSchema, pairLogSchema, patientSchema } from './people-schema';
import { ROUTES } from './routes';
import { shoes } from './shoes';

/** Something that was added, by its identifier. */
const addedSchema = z.object({ id: idSchema });

/** Every call below /api/v1. */
export const api = {
  ...devices,
  ...calculations,
  ...knowledge,
  ...shoes,
  ...people,
  today: operation(ROUTES.today, {
    id: 'today',
    answer: z.array(todayItemSchema),
    tag: 'records',
    summary: 'Who needs what, most urgent first',
  }),
  findPatients: operation(ROUTES.findPatients, {
    id: 'findPatients',
    answer: z.array(patientSummarySchema),
    tag: 'records',
    summary: 'Patients by part of the name',
    query: z.object({ q: z.string().max(80).optional() }),
  }),
  addPatient: operation(ROUTES.addPatient, {
    id: 'addPatient',
    answer: addedSchema,
    tag: 'records',
    summary: 'Add a patient',
    body: patientSchema,
    status: 201,
  }),
  patient: operation(ROUTES.patient, {
    id: 'readPatient',
    answer: patientRecordSchema,
    tag: 'records',
    summary: 'A patient with pairs and visits',
    params: byId,
  }),
  changePatient: operation(ROUTES.changePatient, {
    id: 'changePatient',
    answer: patientSummarySchema,
    tag: 'records',
    summary: 'Change a patient’s record',
    params: byId,
    body: patientSchema.partial(),
  }),
  startVisit: operation(ROUTES.startVisit, {
    id: 'startVisit',
    answer: addedSchema,
    tag: 'visits',
    summary: 'Start a visit, or continue the open one',
    params: byId,
    status: 201,
  }),
  visit: operation(ROUTES.visit, {
    id: 'readVisit',
    answer: visitRecordSchema,
    tag: 'visits',
    summary: 'A visit with every saved step',
    params: byId,
  }),
  saveStep: operation(ROUTES.saveStep, {
    id: 'saveStep',
    answer: z.object({ revision: z.int(), savedAt: momentSchema }),
    conflict: stepRecordSchema,
    tag: 'visits',
    summary: 'Save one step; 409 with the other version when somebody saved first',
    params: z.strictObject({ id: z.uuid(), step: savedStepSchema }),
    body: z.strictObject({
      revision: z.int().min(0).max(INT4_MAX),
      state: stepStateSchema.exclude(['untouched']),
      content: z.record(z.string(), z.unknown()),
    }),
  }),
  presence: operation(ROUTES.presence, {
    id: 'presence',
    answer: presenceAnswerSchema,
    tag: 'visits',
    summary: 'Say which step one is on; who else is here',
    params: byId,
    body: z.strictObject({ step: savedStepSchema }),
  }),
  closeVisit: operation(ROUTES.closeVisit, {
    id: 'closeVisit',
    answer: z.object({ closedBecause: z.string() }),
    tag: 'visits',
    summary: 'End a visit without a hand-over, with a reason',
    params: byId,
    body: z.strictObject({ reason: z.string().trim().min(3, 'Write why nothing was handed over.').max(600) }),
  }),
  handOver: operation(ROUTES.handOver, {
    id: 'handOver',
    answer: z.object({ pairId: idSchema, sheet: patientSheetSchema }),
    tag: 'visits',
    summary: 'Issue the specification and record the pair; refused while a warning sign is open',
    params: byId,
    body: handOverSchema,
    status: 201,
  }),
  logPair: operation(ROUTES.logPair, {
    id: 'logPair',
    answer: addedSchema,
    tag: 'records',
    summary: 'Log distance and comfort of a pair',
    params: byId,
    body: pairLogSchema,
    status: 201,
  }),
  endPair: operation(ROUTES.endPair, {
    id: 'endPair',
    answer: z.object({ endedOn: daySchema }),
    tag: 'records',
    summary: 'Retire a pair',
    params: byId,
    body: z.strictObject({ on: isoDay }),
  }),
  changeClinic: operation(ROUTES.changeClinic, {
    id: 'changeClinic',
    answer: clinicRecordSchema,
    tag: 'clinic',
    summary: 'Change the clinic’s defaults',
    body: clinicDefaultsSchema,
  }),
  tokens: operation(ROUTES.tokens, {
    id: 'listTokens',
    answer: z.array(tokenRecordSchema),
    tag: 'clinic',
    summary: 'One’s own access tokens',
  }),
  addToken: operation(ROUTES.addToken, {
    id: 'addToken',
    answer: z.object({ id: idSchema, token: z.string() }),
    tag: 'clinic',
    summary: 'Make an access token; it is shown once',
    body: newTokenSchema,
    status: 201,
  }),
  removeToken: operation(ROUTES.removeToken, {
    id: 'removeToken',
    tag: 'clinic',
    summary: 'Revoke an access token',
    params: byId,
    status: 204,
  }),
} as const;

export type Api = typeof api;
