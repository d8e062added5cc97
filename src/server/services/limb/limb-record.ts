import { EMPTY_LIMB, type LimbRecord } from '@/core/prosthesis/limb-record';
import type { Tenant } from '../../database/tenant';

/** The record of a person's prosthetic side; an empty one where nobody wrote any. */
export async function limbOf(
  { tx }: Tenant,
  patientId: string,
): Promise<{ record: LimbRecord; revision: number }> {
  const row = await tx
    .selectFrom('limb')
    .select(['content', 'revision'])
    .where('patient_id', '=', patientId)
    .executeTakeFirst();
  return { record: row?.content ?? EMPTY_LIMB, revision: row?.revision ?? 0 };
}

/** The same; null where nobody wrote any. */
export async function limbRecordOf(tenant: Tenant, patientId: string): Promise<LimbRecord | null> {
  const { record, revision } = await limbOf(tenant, patientId);
  return revision === 0 ? null : record;
}
