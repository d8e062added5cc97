import { sql } from 'kysely';
import type { ClosedRecord, RetentionPreview } from '@/contract/patients-schema';
import { type KeepUntil, keepUntil, type Retention } from '@/core/retention/keep-until';
import { audit, type Tenant } from '../../database/tenant';
import { notFound, Refusal } from '../../http/problem';
import { today } from '../clock';

/** A record with its last day: of a visit, a hand-over or a note on a pair, else the day when it was begun. */
interface LastDay {
  id: string;
  name: string;
  bornOn: string;
  lastOn: string;
}

async function lastDays({ tx }: Tenant, only: string | null = null): Promise<LastDay[]> {
  const { rows } = await sql<LastDay>`
    select p.id, p.given_name || ' ' || p.family_name as name, p.born_on::text as "bornOn",
      greatest(p.created_at::date, max(v.started_at)::date)::text as "lastOn"
    from patient p left join visit v on v.clinic_id = p.clinic_id and v.patient_id = p.id
    where ${only}::uuid is null or p.id = ${only}::uuid
    group by p.clinic_id, p.id`.execute(tx);
  return rows;
}

/** Until when the clinic's rules oblige it to keep a record, or null where they do not, or no longer. */
export async function mustKeep(tenant: Tenant, id: string, rules: Retention): Promise<KeepUntil | null> {
  const [record] = await lastDays(tenant, id);
  const keep = record ? keepUntil(record, rules) : null;
  return keep && keep.until >= today() ? keep : null;
}

const FIRST = 100;

async function pastTheirTime(tenant: Tenant, rules: Retention) {
  const records = await lastDays(tenant);
  const past = records
    .flatMap((record) => {
      const keep = keepUntil(record, rules);
      return keep && keep.until < today() ? [{ ...record, until: keep.until }] : [];
    })
    .sort((one, other) => (one.until < other.until ? -1 : one.until > other.until ? 1 : 0));
  return { records: records.length, past };
}

/** What rules would mean: how many records are kept, and whose time is up. Nothing changes. */
export async function previewRetention(tenant: Tenant, rules: Retention): Promise<RetentionPreview> {
  const { records, past } = await pastTheirTime(tenant, rules);
  await audit(tenant, 'read', 'records past their time', null);
  return {
    records,
    kept: records - past.length,
    past: past.length,
    first: past.slice(0, FIRST).map(({ id, name, lastOn, until }) => ({ id, name, lastOn, until })),
  };
}

/** Erases the records that are past their time: as many as were looked at, and no other number. */
export async function erasePast(
  tenant: Tenant,
  rules: Retention,
  count: number,
): Promise<{ erased: number }> {
  const { past } = await pastTheirTime(tenant, rules);
  if (past.length !== count)
    throw new Refusal(409, `It would be ${past.length} records now, not ${count}. Look again first.`);
  for (const { id } of past) {
    await audit(tenant, 'erase', 'everything of this person: past the time of keeping', id);
    await sql`select erase_patient(${id}::uuid, 'past the time of keeping', ${tenant.actor.userId})`.execute(
      tenant.tx,
    );
  }
  return { erased: past.length };
}

/** Records closed from view: a name, until when, and the rule; nothing of what is in them. */
export async function closedPatients({ tx }: Tenant): Promise<ClosedRecord[]> {
  const { rows } = await sql<ClosedRecord>`
    select id, name, until::text as until, because from closed_patients()`.execute(tx);
  return rows;
}

export async function closePatient(
  tenant: Tenant,
  id: string,
  { until, because }: { until: string; because: string },
): Promise<void> {
  await sql`select close_patient(${id}::uuid, ${until}::date, ${because})`.execute(tenant.tx);
}

/** Brings a closed record back into view, noted in the trail. */
export async function reopenPatient(tenant: Tenant, id: string): Promise<null> {
  const closed = await closedPatients(tenant);
  if (!closed.some((record) => record.id === id)) throw notFound('This record');
  await sql`select close_patient(${id}::uuid, null, null)`.execute(tenant.tx);
  await audit(tenant, 'write', 'closed record brought back into view', id);
  return null;
}
