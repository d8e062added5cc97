import { sql } from 'kysely';
import type { RecallItem } from '@/contract/records';
import { ageOn } from '@/core/calendar/days';
import { modelTitle } from '@/core/catalogue/model';
import { consentState, type NotedConsent } from '@/core/contact/consent';
import { type ContactDetails, reach } from '@/core/contact/reach';
import { type StoredReport, storedInWords } from '@/core/home/report';
import { type ContactTry, MOST_OF_A_KIND, RECALL_KINDS, type RecallKindId } from '@/core/recall/kinds';
import { stepStatesSchema } from '@/core/visit/contents';
import type { Tenant } from '../../database/tenant';
import { today } from '../clock';

interface Row {
  kind: RecallKindId;
  patient_id: string;
  about_on: string;
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
  consents: NotedConsent[];
  tried: ContactTry | null;
  tried_at: Date | null;
  tried_by: string | null;
  about_id: string | null;
  steps: unknown;
}

/** Of which site, which kinds, and how many rows of each at most. */
export interface RecallWanted {
  site?: string | null;
  kinds?: readonly RecallKindId[];
  most?: number;
}

/**
 * Who needs what, most urgent first, with what was tried; of one site where one is named. One question to the database, each kind from
 * its own index: what it costs does not grow with the clinic.
 */
export async function readRecall(
  tenant: Tenant,
  { site = null, kinds = RECALL_KINDS, most = MOST_OF_A_KIND }: RecallWanted = {},
): Promise<RecallItem[]> {
  const now = today();
  const { rows } = await sql<Row>`select * from recall_list(${now}, ${site}, ${[...kinds]}, ${most})`.execute(
    tenant.tx,
  );
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
        : reach({ ...row, contactBy: row.contact_by }, consentState(row.consents, 'contact')).words,
    what: whatOf(row),
    on: row.about_on,
    aboutId: row.about_id,
    steps: row.kind === 'visit-open' ? stepStatesSchema.parse(row.steps ?? {}) : null,
    tried:
      row.tried && row.tried_at
        ? { way: row.tried, at: row.tried_at.toISOString(), by: row.tried_by ?? '' }
        : null,
  }));
}

function whatOf({ kind, said, maker, model, version }: Row): string {
  if (said) return storedInWords(said);
  if (kind === 'visit-open') return '';
  if (kind === 'risk-check') return 'skin, sensation, pulses and shoes';
  return maker !== null && model !== null ? modelTitle({ maker, name: model, version: version ?? '' }) : '';
}
