import { sql } from 'kysely';
import { prostheticFootOf } from '@/core/prosthesis/on-this-foot';
import type { Tenant } from '../../database/tenant';
import { withFolded } from '../patients/duplicates';
import { latestPicture } from './latest-picture';
import { limbRecordOf } from './limb-record';

/** Whether anything that was saved of a person speaks of a prosthesis: of most nothing does, and nothing more is read. */
async function speaksOfOne(tenant: Tenant, patientId: string): Promise<boolean> {
  const row = await tenant.tx
    .selectFrom('visit')
    .innerJoin('visit_step', (join) =>
      join
        .onRef('visit_step.clinic_id', '=', 'visit.clinic_id')
        .onRef('visit_step.visit_id', '=', 'visit.id'),
    )
    .select('visit.id')
    .where('visit.patient_id', 'in', await withFolded(tenant, patientId))
    .where(sql<boolean>`content #> '{findings,body}' ? 'prosthesisSide'`)
    .limit(1)
    .executeTakeFirst();
  return row !== undefined;
}

/** Whether a person has a prosthetic side: a record of it, or a visit that found one. */
export const hasLimb = async (tenant: Tenant, patientId: string): Promise<boolean> =>
  (await limbRecordOf(tenant, patientId)) !== null ||
  ((await speaksOfOne(tenant, patientId)) &&
    prostheticFootOf(await latestPicture(tenant, patientId)) !== null);
