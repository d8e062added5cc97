import type { Selectable } from 'kysely';
import type { z } from 'zod';
import type { ConsentRecord, consentSchema } from '@/contract/patients-schema';
import { type ConsentState, consentState, type NotedConsent } from '@/core/contact/consent';
import { groupBy } from '@/core/tables/group-by';
import type { Database } from '../../database/schema';
import { audit, type Tenant } from '../../database/tenant';
import { notFound, Refusal } from '../../http/problem';
import { patientRow } from './patient-row';

/** A row as the core reads it. */
export const notedConsent = (
  row: Pick<Selectable<Database['consent']>, 'kind' | 'given_on' | 'withdrawn_on'>,
): NotedConsent => ({ kind: row.kind, givenOn: row.given_on, withdrawnOn: row.withdrawn_on });

/** What a patient agreed to, the latest first, and what was withdrawn. */
export async function listConsents({ tx }: Tenant, patientId: string): Promise<ConsentRecord[]> {
  const rows = await tx
    .selectFrom('consent')
    .leftJoin('auth.user as writer', 'writer.id', 'recorded_by')
    .select(['consent.id', 'kind', 'how', 'given_on', 'note', 'writer.name', 'withdrawn_on'])
    .where('patient_id', '=', patientId)
    .orderBy('given_on', 'desc')
    .orderBy('recorded_at', 'desc')
    .execute();
  return rows.map((row) => ({
    id: row.id,
    kind: row.kind,
    how: row.how,
    givenOn: row.given_on,
    note: row.note,
    recordedBy: row.name ?? '',
    withdrawnOn: row.withdrawn_on,
  }));
}

/** Where these stand with being contacted; who was never asked is not in it. */
export async function contactConsents(
  { tx }: Tenant,
  patientIds: readonly string[],
): Promise<Map<string, ConsentState>> {
  if (patientIds.length === 0) return new Map();
  const rows = await tx
    .selectFrom('consent')
    .select(['patient_id', 'kind', 'given_on', 'withdrawn_on'])
    .where('kind', '=', 'contact')
    .where('patient_id', 'in', [...patientIds])
    .execute();
  return new Map(
    [...groupBy(rows, ({ patient_id }) => patient_id)].map(
      ([id, mine]) => [id, consentState(mine.map(notedConsent), 'contact')] as const,
    ),
  );
}

export async function addConsent(
  tenant: Tenant,
  patientId: string,
  { kind, how, givenOn, note = '' }: z.infer<typeof consentSchema>,
): Promise<{ id: string }> {
  await patientRow(tenant, patientId);
  const row = await tenant.tx
    .insertInto('consent')
    .values({
      clinic_id: tenant.actor.clinicId,
      patient_id: patientId,
      kind,
      how,
      given_on: givenOn,
      note,
      recorded_by: tenant.actor.userId,
      withdrawn_on: null,
      withdrawn_by: null,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  await audit(tenant, 'write', `consent noted: ${kind}`, patientId);
  return row;
}

/** Ends every consent of that kind; what somebody's fittings taught goes with the one to learning. */
export async function withdrawConsent(tenant: Tenant, id: string, on: string): Promise<null> {
  const { tx, actor } = tenant;
  const row = await tx
    .selectFrom('consent')
    .select(['patient_id', 'kind', 'given_on'])
    .where('id', '=', id)
    .executeTakeFirst();
  if (!row) throw notFound('This consent');
  if (on < row.given_on)
    throw new Refusal(422, 'Some values cannot be accepted.', {
      errors: [{ path: ['on'], message: `It was given on ${row.given_on}, after this day.` }],
    });
  await tx
    .updateTable('consent')
    .set({ withdrawn_on: on, withdrawn_by: actor.userId })
    .where('patient_id', '=', row.patient_id)
    .where('kind', '=', row.kind)
    .where('given_on', '<=', on)
    .where('withdrawn_on', 'is', null)
    .execute();
  if (row.kind === 'learning')
    await tx
      .deleteFrom('fitting')
      .where('visit_id', 'in', tx.selectFrom('visit').select('id').where('patient_id', '=', row.patient_id))
      .execute();
  await audit(tenant, 'write', `consent withdrawn: ${row.kind}`, row.patient_id);
  return null;
}
