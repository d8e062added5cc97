import { type Selectable, sql } from 'kysely';
import type { z } from 'zod';
import type { patientChangeSchema, patientSchema } from '@/contract/patients-schema';
import type { AuditRecord, PatientRecord, PatientSummary, VisitSummary } from '@/contract/records';
import { ageOn } from '@/core/calendar/days';
import { readPatientSearch } from '@/core/search/patient-search';
import { isShipped } from '@/core/texts/languages';
import { containing } from '../../database/like';
import type { Database } from '../../database/schema';
import { audit, type Tenant } from '../../database/tenant';
import { refusedAt } from '../../http/problem';
import { today } from '../clock';
import { listOrders } from '../orders/order-records';
import { listPairs } from '../pairs/pair-records';
import { languagesOffered } from '../people/texts';
import { listConsents } from './consents';
import { patientRow } from './patient-row';

type PatientRow = Omit<Selectable<Database['patient']>, 'clinic_id' | 'created_at'>;

export const summaryOf = (row: PatientRow): PatientSummary => ({
  id: row.id,
  givenName: row.given_name,
  familyName: row.family_name,
  bornOn: row.born_on,
  age: ageOn(row.born_on, today()),
  sizingGroup: row.sizing_group,
  occupation: row.occupation,
});

/** Most patients that are read at once. */
const MOST_FOUND = 200;

/** Those that a search means; the archive only where it is asked for. */
function searched({ tx }: Tenant, typed: string, archived: boolean) {
  const { words, bornOn, bornIn, digits } = readPatientSearch(typed);
  let query = tx.selectFrom('patient').where('archived_at', archived ? 'is not' : 'is', null);
  for (const word of words) {
    const like = containing(word);
    query = query.where((eb) => eb.or([eb('given_name', 'ilike', like), eb('family_name', 'ilike', like)]));
  }
  if (bornOn.length > 0) query = query.where('born_on', 'in', bornOn);
  if (bornIn !== null)
    query = query.where('born_on', '>=', `${bornIn}-01-01`).where('born_on', '<=', `${bornIn}-12-31`);
  if (digits !== null)
    query = query.where(sql`regexp_replace(phone, '\\D', '', 'g')`, 'like', containing(digits));
  return query;
}

/**
 * Patients by words of their names, by day or year of birth or by telephone number, in the order of their family names.
 *
 * @param after the last patient of the page before
 */
export async function findPatients(
  tenant: Tenant,
  typed = '',
  archived = false,
  { after, most = MOST_FOUND }: { after?: string | undefined; most?: number } = {},
): Promise<PatientSummary[]> {
  await audit(tenant, 'read', 'list of patients', null);
  let query = searched(tenant, typed, archived).selectAll();
  if (after !== undefined)
    query = query.where(
      sql<boolean>`(family_name, given_name, id) >
        (select before.family_name, before.given_name, before.id from patient as before where before.id = ${after}::uuid)`,
    );
  const rows = await query
    .orderBy('family_name')
    .orderBy('given_name')
    .orderBy('id')
    .limit(Math.min(most, MOST_FOUND))
    .execute();
  return rows.map(summaryOf);
}

/** How many a search finds in all. */
export async function countPatients(tenant: Tenant, typed: string, archived: boolean): Promise<number> {
  const { count } = await searched(tenant, typed, archived)
    .select(({ fn }) => fn.countAll<string>().as('count'))
    .executeTakeFirstOrThrow();
  return Number(count);
}

const columns = (patient: Partial<z.infer<typeof patientSchema>>) => ({
  ...(patient.givenName !== undefined ? { given_name: patient.givenName } : {}),
  ...(patient.familyName !== undefined ? { family_name: patient.familyName } : {}),
  ...(patient.bornOn !== undefined ? { born_on: patient.bornOn } : {}),
  ...(patient.sizingGroup !== undefined ? { sizing_group: patient.sizingGroup } : {}),
  ...(patient.heightMm !== undefined ? { height_mm: patient.heightMm } : {}),
  ...(patient.occupation !== undefined ? { occupation: patient.occupation } : {}),
  ...(patient.school !== undefined ? { school: patient.school } : {}),
  ...(patient.phone !== undefined ? { phone: patient.phone } : {}),
  ...(patient.email !== undefined ? { email: patient.email } : {}),
  ...(patient.address !== undefined ? { address: patient.address } : {}),
  ...(patient.contactBy !== undefined ? { contact_by: patient.contactBy } : {}),
  ...(patient.language !== undefined ? { language: patient.language } : {}),
});

/** A sheet is written in a language that has all its sentences. */
async function checkLanguage(tenant: Tenant, language: string | undefined): Promise<void> {
  if (language === undefined || isShipped(language)) return;
  if ((await languagesOffered(tenant)).every((offered) => offered.language !== language))
    throw refusedAt('language', 'No sheet can be written in this language yet.');
}

export async function addPatient(
  tenant: Tenant,
  patient: z.infer<typeof patientSchema>,
): Promise<{ id: string }> {
  const { givenName, familyName, bornOn, sizingGroup } = patient;
  await checkLanguage(tenant, patient.language);
  const row = await tenant.tx
    .insertInto('patient')
    .values({
      ...columns(patient),
      clinic_id: tenant.actor.clinicId,
      site_id: tenant.actor.siteId,
      given_name: givenName,
      family_name: familyName,
      born_on: bornOn,
      sizing_group: sizingGroup,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  await audit(tenant, 'write', 'patient added', row.id);
  return row;
}

/** A patient with pairs, their windows and visits; the reading is audited. */
export async function readPatient(tenant: Tenant, id: string): Promise<PatientRecord> {
  const row = await patientRow(tenant, id);
  await audit(tenant, 'read', 'patient', id);
  return {
    ...summaryOf(row),
    heightMm: row.height_mm,
    school: row.school,
    pairs: await listPairs(tenant, { patientId: id }),
    orders: await listOrders(tenant, { patientId: id }),
    phone: row.phone,
    email: row.email,
    address: row.address,
    contactBy: row.contact_by,
    language: row.language,
    archived: row.archived_at !== null,
    consents: await listConsents(tenant, id),
    visits: await visitsOf(tenant, id),
  };
}

/** Visits of a patient, newest first, each with what it handed over. */
async function visitsOf({ tx }: Tenant, patientId: string): Promise<VisitSummary[]> {
  const visits = await tx
    .selectFrom('visit')
    .leftJoin('auth.user as starter', 'starter.id', 'visit.started_by')
    .select(['visit.id', 'started_at', 'closed_at', 'closed_because', 'starter.name as started_by'])
    .where('visit.patient_id', '=', patientId)
    .orderBy('started_at', 'desc')
    .execute();
  const handedOver = await tx
    .selectFrom('hand_over')
    .select(['visit_id', 'specification_id', 'pair_id', 'review_on', sql<string>`sheet->>'shoe'`.as('shoe')])
    .where('patient_id', '=', patientId)
    .orderBy('handed_over_at')
    .execute();
  return visits.map((visit) => ({
    id: visit.id,
    startedAt: visit.started_at.toISOString(),
    closedAt: visit.closed_at?.toISOString() ?? null,
    closedBecause: visit.closed_because,
    startedBy: visit.started_by ?? '',
    handedOver: handedOver
      .filter((entry) => entry.visit_id === visit.id)
      .map((entry) => ({
        specificationId: entry.specification_id,
        pairId: entry.pair_id,
        shoe: entry.shoe,
        reviewOn: entry.review_on,
      })),
  }));
}

export async function changePatient(
  tenant: Tenant,
  id: string,
  { archived, ...change }: z.infer<typeof patientChangeSchema>,
): Promise<PatientSummary> {
  await patientRow(tenant, id);
  await checkLanguage(tenant, change.language);
  const set = {
    ...columns(change),
    ...(archived === undefined ? {} : { archived_at: archived ? new Date() : null }),
  };
  if (Object.keys(set).length > 0)
    await tenant.tx.updateTable('patient').set(set).where('id', '=', id).execute();
  const what =
    archived === undefined
      ? 'patient changed'
      : archived
        ? 'put into the archive'
        : 'taken out of the archive';
  await audit(tenant, 'write', what, id);
  return summaryOf(await patientRow(tenant, id));
}

/** Who read or changed this patient, newest first. */
export async function patientAudit({ tx }: Tenant, id: string): Promise<AuditRecord[]> {
  const rows = await tx
    .selectFrom('audit_entry')
    .select(['at', 'who', 'action', 'what'])
    .where((is) =>
      is.or([
        is('patient_id', '=', id),
        // What was done with a record before it was folded into this one.
        is(
          'patient_id',
          'in',
          is.selectFrom('merge').select('folded').where('kept', '=', id).where('undone_at', 'is', null),
        ),
      ]),
    )
    .orderBy('at', 'desc')
    .limit(50)
    .execute();
  return rows.map((row) => ({
    at: row.at.toISOString(),
    who: row.who ?? '',
    action: row.action,
    what: row.what,
  }));
}
