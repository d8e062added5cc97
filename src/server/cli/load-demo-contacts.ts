import type { Transaction } from 'kysely';
import type { DemoPatient } from '@/demo/clinic';
import { DEMO_SITES, DEMO_TWICE, demoContacts } from '@/demo/contacts';
import type { Database } from '../database/schema';

/** Sites of the demo clinic, ways to reach its patients, what they agreed to, and one record that was begun twice. */
export async function addContacts(
  tx: Transaction<Database>,
  clinic_id: string,
  by: string,
  patients: readonly DemoPatient[],
  today: string,
): Promise<void> {
  const sites = await tx
    .insertInto('site')
    .values(DEMO_SITES.map((site) => ({ clinic_id, ...site })))
    .returning('id')
    .execute();
  for (const { patientId, contactBy, site, consents, since, ...details } of demoContacts(patients, today)) {
    const site_id = sites[site]?.id ?? null;
    await tx
      .updateTable('patient')
      .set({ ...details, contact_by: contactBy, site_id, created_at: new Date(`${since}T09:00:00Z`) })
      .where('id', '=', patientId)
      .execute();
    await tx.updateTable('visit').set({ site_id }).where('patient_id', '=', patientId).execute();
    if (consents.length > 0)
      await tx
        .insertInto('consent')
        .values(
          consents.map(({ kind, how, givenOn, withdrawnOn }) => ({
            clinic_id,
            patient_id: patientId,
            kind,
            how,
            given_on: givenOn,
            recorded_by: by,
            withdrawn_on: withdrawnOn,
            withdrawn_by: withdrawnOn && by,
          })),
        )
        .execute();
  }
  const twice = patients[DEMO_TWICE.at];
  if (twice)
    await tx
      .insertInto('patient')
      .values({
        clinic_id,
        given_name: twice.persona.given,
        family_name: DEMO_TWICE.familyName(twice.persona.family),
        born_on: twice.bornOn,
        sizing_group: twice.persona.group,
        height_mm: null,
        school: null,
        archived_at: null,
      })
      .execute();
}
