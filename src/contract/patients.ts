import { z } from 'zod';
import { retentionSchema } from '@/core/retention/keep-until';
import { patientRecordSchema, patientSummarySchema } from './answers/records';
import { addedSchema, byId } from './common';
import { operation } from './operation';
import {
  closedRecordSchema,
  consentRecordSchema,
  consentSchema,
  duplicatesSchema,
  erasePastSchema,
  erasureAnswerSchema,
  erasureSchema,
  mergeSchema,
  patientChangeSchema,
  patientSchema,
  retentionPreviewSchema,
  withdrawalSchema,
} from './patients-schema';
import { ROUTES } from './routes';

/** Records of patients: added, changed, agreed to, folded into one, kept and erased. */
export const patients = {
  findPatients: operation(ROUTES.findPatients, {
    id: 'findPatients',
    answer: z.array(patientSummarySchema),
    tag: 'records',
    summary: 'Patients by words of the name, birth date, birth year or telephone number; 200 at a time',
    query: z.object({
      q: z.string().max(80).optional(),
      archived: z.enum(['yes']).optional(),
      /** The last patient of the page before. */
      after: z.uuid().optional(),
    }),
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
    body: patientChangeSchema,
  }),
  exportPatient: operation(ROUTES.exportPatient, {
    id: 'exportPatient',
    tag: 'records',
    summary: 'Everything that is kept of one person, as an archive of JSON and PDF',
    params: byId,
    produces: 'application/zip',
  }),
  erasePatient: operation(ROUTES.erasePatient, {
    id: 'erasePatient',
    tag: 'records',
    summary:
      'Erase one person: the family name is typed once more, and a reason; closed from view where a rule obliges to keep it',
    params: byId,
    body: erasureSchema,
    answer: erasureAnswerSchema,
  }),
  consents: operation(ROUTES.consents, {
    id: 'listConsents',
    answer: z.array(consentRecordSchema),
    tag: 'records',
    summary: 'What a patient agreed to, and what was withdrawn',
    params: byId,
  }),
  addConsent: operation(ROUTES.addConsent, {
    id: 'addConsent',
    answer: addedSchema,
    tag: 'records',
    summary: 'Note that a patient agreed to something',
    params: byId,
    body: consentSchema,
    status: 201,
  }),
  withdrawConsent: operation(ROUTES.withdrawConsent, {
    id: 'withdrawConsent',
    tag: 'records',
    summary: 'Note that a patient no longer agrees',
    params: byId,
    body: withdrawalSchema,
    status: 204,
  }),
  duplicates: operation(ROUTES.duplicates, {
    id: 'listDuplicates',
    answer: duplicatesSchema,
    tag: 'records',
    summary: 'Records that may be one person, and those that were folded into one',
  }),
  mergePatients: operation(ROUTES.mergePatients, {
    id: 'mergePatients',
    answer: addedSchema,
    tag: 'records',
    summary: 'Fold another record into this one; it can be taken back',
    params: byId,
    body: mergeSchema,
    status: 201,
  }),
  undoMerge: operation(ROUTES.undoMerge, {
    id: 'undoMerge',
    tag: 'records',
    summary: 'Take back that two records were folded into one',
    params: byId,
    status: 204,
  }),
  previewRetention: operation(ROUTES.previewRetention, {
    id: 'previewRetention',
    answer: retentionPreviewSchema,
    tag: 'records',
    summary: 'How many records rules of retention keep, and which are past their time',
    body: retentionSchema,
    changesNothing: true,
  }),
  erasePast: operation(ROUTES.erasePast, {
    id: 'erasePast',
    answer: z.object({ erased: z.int() }),
    tag: 'records',
    summary: 'Erase the records that are past their time, as many as a preview said',
    body: erasePastSchema,
  }),
  closedPatients: operation(ROUTES.closedPatients, {
    id: 'listClosedRecords',
    answer: z.array(closedRecordSchema),
    tag: 'records',
    summary: 'Records closed from view, with the rule that keeps them',
  }),
  reopenPatient: operation(ROUTES.reopenPatient, {
    id: 'reopenRecord',
    tag: 'records',
    summary: 'Bring a closed record back into view',
    params: byId,
    status: 204,
  }),
};
