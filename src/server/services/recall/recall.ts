import { sql } from 'kysely';
import type { RecallItem } from '@/contract/records';
import { ageOn } from '@/core/calendar/days';
import { modelTitle } from '@/core/catalogue/model';
import { consentState } from '@/core/contact/consent';
import { type ContactDetails, reach } from '@/core/contact/reach';
import { type StoredReport, storedInWords } from '@/core/home/report';
import { type ContactTry, RECALL_KINDS, type RecallKindId } from '@/core/recall/kinds';
import { groupBy } from '@/core/tables/group-by';
import type { Tenant } from '../../database/tenant';
import { today } from '../clock';
import { notedConsent } from '../patients/consents';

/** Rows of a kind that are read; whoever works through so many looks again. */
export const MOST_OF_A_KIND = 30;

interface Row {
  kind: RecallKindId;
  patient_id: string;
  about_on: string;
  visit_id: string | null;
  said: StoredReport | null;
  maker: string | null;
  model: string | null;
  version: string | null;
  given_name: string;
  family_name: string;
  born_on: string;
  phone: string;
  email: string;
  address: string;
  contact_by: ContactDetails['contactBy'];
  tried: ContactTry | null;
  tried_at: Date | null;
  tried_by: string | null;
}

/**
 * Who needs what, most urgent first, with what was tried; of one site where one is named. One question to the database, each kind from
 * its own index: what it costs does not grow with the clinic.
 */
export async function readRecall(
  tenant: Tenant,
  { site = null, kinds = RECALL_KINDS }: { site?: string | null; kinds?: readonly RecallKindId[] } = {},
): Promise<RecallItem[]> {
  const now = today();
  const { rows } = await sql<Row>`
    select due.kind, due.patient_id, due.about_on::text, due.visit_id, due.said, shoe_model.maker, shoe_model.name as model,
      shoe_model.version, given_name, family_name, born_on, phone, patient.email, address, contact_by,
      latest.way as tried, latest.made_at as tried_at, tryer.name as tried_by
    from recall_due(${now}, ${site}, ${[...kinds]}, ${MOST_OF_A_KIND}) as due
      -- One by one: two hundred names are no reason to read every patient.
      join lateral (select * from patient where patient.id = due.patient_id offset 0) as patient on true
      left join lateral (select * from shoe_model where shoe_model.id = due.model_id offset 0) as shoe_model on true
      left join lateral (select way, made_at, made_by from contact_try where contact_try.patient_id = due.patient_id
        and contact_try.kind = due.kind and contact_try.about_on = due.about_on order by made_at desc limit 1) as latest on true
      left join auth."user" as tryer on tryer.id = latest.made_by
    order by array_position(${[...kinds]}::text[], due.kind), due.about_on, due.patient_id`.execute(
    tenant.tx,
  );
  const consents = await consentsOf(tenant, [...new Set(rows.map((row) => row.patient_id))]);
  return rows.map((row) => ({
    kind: row.kind,
    patient: {
      id: row.patient_id,
      name: `${row.given_name} ${row.family_name}`,
      age: ageOn(row.born_on, now),
    },
    reach:
      row.kind === 'visit-open'
        ? null
        : reach({ ...row, contactBy: row.contact_by }, consents.get(row.patient_id) ?? 'not-asked').words,
    what: whatOf(row),
    on: row.about_on,
    visitId: row.visit_id,
    tried:
      row.tried && row.tried_at
        ? { way: row.tried, at: row.tried_at.toISOString(), by: row.tried_by ?? '' }
        : null,
  }));
}

function whatOf({ kind, said, maker, model, version }: Row): string {
  if (said) return storedInWords(said);
  if (kind === 'visit-open') return 'visit not handed over';
  if (kind === 'risk-check') return 'skin, sensation, pulses and shoes';
  return maker !== null && model !== null ? modelTitle({ maker, name: model, version: version ?? '' }) : '';
}

/** Who of these may be contacted. */
export async function consentsOf({ tx }: Tenant, patientIds: readonly string[]) {
  if (patientIds.length === 0) return new Map<string, ReturnType<typeof consentState>>();
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
