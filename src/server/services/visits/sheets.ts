import type { PatientSheet } from '@/core/aftercare/patient-sheet';
import { type Actor, asTenant, audit } from '../../database/tenant';

/** The patient's sheet of a visit as it was handed over, or null; the reading is audited. */
export async function readSheet(actor: Actor, visitId: string): Promise<PatientSheet | null> {
  if (!/^[0-9a-f-]{36}$/i.test(visitId)) return null;
  return asTenant(actor, async (tenant) => {
    const row = await tenant.tx
      .selectFrom('hand_over')
      .select(['sheet', 'patient_id'])
      .where('visit_id', '=', visitId)
      .executeTakeFirst();
    if (!row) return null;
    await audit(tenant, 'read', 'patient sheet', row.patient_id);
    return row.sheet;
  });
}
