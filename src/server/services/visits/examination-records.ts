import { clinicalPicture } from '@/core/examination/clinical-picture';
import { examinationRecord } from '@/core/examination/examination-record';
import { carriedKeys } from '@/core/visit/earlier-visit';
import { contentsOf } from '@/core/visit/held';
import { readVisit } from '@/core/visit/read-visit';
import type { Tenant } from '../../database/tenant';
import { loadVisit } from './visits';

/** The examination of one visit as a record: every finding with how it was taken. */
export async function readExamination(tenant: Tenant, visitId: string) {
  const visit = await loadVisit(tenant, visitId);
  const contents = contentsOf(visit.steps);
  const carried = visit.carried && {
    keys: carriedKeys(visit.carried.findings, contents),
    from: visit.carried.from,
  };
  const { whole } = readVisit(visit, contents, undefined);
  return { visit, ...examinationRecord(clinicalPicture(whole), carried) };
}
