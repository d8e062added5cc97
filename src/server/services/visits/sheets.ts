import type { PatientSheet } from '@/core/aftercare/patient-sheet';
import { type Actor, asTenant, audit } from '../../database/tenant';
import { isId } from '../../http/problem';

/**
 * The patient's sheet of a visit as it was handed over, or null; the reading is audited.
 *
 * @param specification of which pair, where the visit handed over several; else the first
 */
export async function readSheet(
  actor: Actor,
  visitId: string,
  specification: string | null,
): Promise<PatientSheet | null> {
  if (!isId(visitId) || (specification !== null && !isId(specification))) return null;
  return asTenant(actor, async (tenant) => {
    const handed = tenant.tx
      .selectFrom('hand_over')
      .select(['sheet', 'patient_id'])
      .where('visit_id', '=', visitId)
      .orderBy('handed_over_at');
    const row = await (specification === null
      ? handed
      : handed.where('specification_id', '=', specification)
    ).executeTakeFirst();
    if (!row) return null;
    await audit(tenant, 'read', 'patient sheet', row.patient_id);
    return row.sheet;
  });
}
