import { examinationRecord } from '@/core/picture/examination-record';
import type { Tenant } from '../database/tenant';
import { findingsOfSteps, merged, pictureOf, recordFindings } from './patient-findings';
import { patientRow } from './patients';
import { readVisit } from './visits';

/** The examination of one visit as a record: every finding with how it was taken. */
export async function readExamination(tenant: Tenant, visitId: string) {
  const visit = await readVisit(tenant, visitId);
  const patient = await patientRow(tenant, visit.patient.id);
  const findings = merged([
    recordFindings(patient, new Date(visit.startedAt)),
    visit.carried?.findings ?? {},
    ...findingsOfSteps(visit.steps),
  ]);
  return { visit, ...examinationRecord(pictureOf(findings)) };
}
