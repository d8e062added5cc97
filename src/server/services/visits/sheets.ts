import type { PatientSheet } from '@/core/aftercare/patient-sheet';
import { type Actor, asTenant, audit, type Tenant } from '../../database/tenant';
import { isId } from '../../http/problem';
import { goodHomeAddress } from '../home/links';

/**
 * What a visit handed over, with the pair; undefined where nothing was, or where one of the two is no identifier.
 *
 * @param specification of which pair, where the visit handed over several; else the first
 */
export async function handOverOf({ tx }: Tenant, visitId: string, specification: string | null) {
  if (!isId(visitId) || (specification !== null && !isId(specification))) return undefined;
  const handed = tx
    .selectFrom('hand_over')
    .innerJoin('pair', (join) =>
      join.onRef('pair.id', '=', 'hand_over.pair_id').onRef('pair.clinic_id', '=', 'hand_over.clinic_id'),
    )
    .select(['sheet', 'hand_over.patient_id', 'pair_id', 'pair.return_by', 'pair.modifications'])
    .where('visit_id', '=', visitId)
    .orderBy('handed_over_at');
  return (
    specification === null ? handed : handed.where('specification_id', '=', specification)
  ).executeTakeFirst();
}

/** A sheet with where the patient’s own page is reached, for the labels; or null. */
export async function readLabel(
  actor: Actor,
  visitId: string,
  specification: string | null,
): Promise<{ sheet: PatientSheet; home: string | null; patientId: string } | null> {
  return asTenant(actor, async (tenant) => {
    const row = await handOverOf(tenant, visitId, specification);
    if (!row) return null;
    const { sheet, patient_id: patientId } = row;
    await audit(tenant, 'read', 'labels', patientId);
    return { sheet, home: await goodHomeAddress(tenant, patientId), patientId };
  });
}

/** The patient's sheet of a visit as it was handed over, or null; the reading is audited. */
export async function readSheet(
  actor: Actor,
  visitId: string,
  specification: string | null,
): Promise<PatientSheet | null> {
  return asTenant(actor, async (tenant) => {
    const row = await handOverOf(tenant, visitId, specification);
    if (!row) return null;
    await audit(tenant, 'read', 'patient sheet', row.patient_id);
    return row.sheet;
  });
}
