import { EMPTY_LIMB, type LimbRecord } from '@/core/prosthesis/limb-record';
import type { Tenant } from '../../database/tenant';
import { withFolded } from '../patients/duplicates';

/** The record of a person's prosthetic side, with the revision that is written next; an empty one where nobody wrote any. */
export async function limbOf(
  tenant: Tenant,
  patientId: string,
): Promise<{ record: LimbRecord; revision: number }> {
  const rows = await tenant.tx
    .selectFrom('limb')
    .select(['patient_id', 'content', 'revision'])
    .where('patient_id', 'in', await withFolded(tenant, patientId))
    .execute();
  const own = rows.find(({ patient_id }) => patient_id === patientId);
  // One that came with a folded record holds until this one is written for the first time.
  return { record: (own ?? rows[0])?.content ?? EMPTY_LIMB, revision: own?.revision ?? 0 };
}

/** The same; null where nobody wrote any. */
export async function limbRecordOf(tenant: Tenant, patientId: string): Promise<LimbRecord | null> {
  const { record } = await limbOf(tenant, patientId);
  return record === EMPTY_LIMB ? null : record;
}
