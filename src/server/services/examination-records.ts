import { examinationRecord } from '@/core/picture/examination-record';
import type { Tenant } from '../database/tenant';
import { findingsOfSteps, merged, pictureOf, recordFindings } from './patient-findings';
import { patientRow } from './patients';
import { readVisit } from './visits';

/** The examination of one visit as a record: every finding with how it was taken. */
export async function readExamination(tenant: Tenant, visitId: string) {
  const visit = await readVisit(tenant, visitId);
  const patient = await patientRow(tenant, visit.patient.id);
  const own = merged(findingsOfSteps(visit.steps));
  const earlier = visit.carried?.findings ?? {};
  const keys = new Set(
    (['body', 'left', 'right'] as const).flatMap((place) =>
      Object.keys(earlier[place] ?? {})
        .filter((id) => !(id in (own[place] ?? {})))
        .map((id) => `${place}.${id}`),
    ),
  );
  const findings = merged([recordFindings(patient, new Date(visit.startedAt)), earlier, own]);
  const carried = visit.carried && { keys, from: visit.carried.from };
  return { visit, ...examinationRecord(pictureOf(findings), carried) };
}
