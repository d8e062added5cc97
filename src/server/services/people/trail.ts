import { sql } from 'kysely';
import Papa from 'papaparse';
import type { AuditFilter } from '@/contract/people-schema';
import type { AuditRecord } from '@/contract/records';
import { addDays } from '@/core/calendar/days';
import { containing } from '../../database/like';
import { audit, type Tenant } from '../../database/tenant';

/** Most entries that a page or a file holds. */
export const TRAIL_PAGE = 200;
const IN_FILE = 100_000;

const entriesOf = (
  { tx }: Tenant,
  { from, to, action, who }: AuditFilter,
  { limit, after }: { limit: number; after?: string | undefined },
) => {
  let query = tx
    .selectFrom('audit_entry')
    .select(['id', 'at', 'who', 'user_id', 'patient_id', 'action', 'what', 'digest'])
    .orderBy('at', 'desc')
    .orderBy('id', 'desc')
    .limit(limit);
  if (from) query = query.where('at', '>=', new Date(from));
  if (to) query = query.where('at', '<', new Date(addDays(to, 1)));
  if (action) query = query.where('action', '=', action);
  if (who?.trim()) query = query.where('who', 'ilike', containing(who.trim()));
  if (after !== undefined)
    query = query.where(
      sql<boolean>`(at, id) < (select before.at, before.id from audit_entry as before where before.id = ${after}::bigint)`,
    );
  return query.execute();
};

/**
 * The newest entries of a part of the trail; that they were looked at is an entry too.
 *
 * @param after the last entry of the page before
 */
export async function readTrail(
  tenant: Tenant,
  filter: AuditFilter,
  after?: string,
): Promise<(AuditRecord & { id: string; patientId: string | null })[]> {
  await audit(tenant, 'read', 'the trail', null);
  return (await entriesOf(tenant, filter, { limit: TRAIL_PAGE, after })).map((row) => ({
    id: row.id,
    at: row.at.toISOString(),
    who: row.who ?? row.user_id,
    action: row.action,
    what: row.what,
    patientId: row.patient_id,
  }));
}

/** The same part as a file, oldest last, each with its digest. */
export async function exportTrail(tenant: Tenant, filter: AuditFilter): Promise<Response> {
  const rows = await entriesOf(tenant, filter, { limit: IN_FILE });
  await audit(tenant, 'export', `the trail, ${rows.length} entries`, null);
  const text = Papa.unparse(
    rows.map(({ at, ...row }) => ({ at: at.toISOString(), ...row })),
    // A name that begins like a formula must not become one in a spreadsheet.
    { newline: '\n', escapeFormulae: true },
  );
  return new Response(text, {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': 'attachment; filename="trail.csv"',
      'cache-control': 'no-store',
    },
  });
}

/** How much of the trail is sealed: blocks, and entries in them. */
export async function sealedSoFar({ tx }: Tenant): Promise<{ seals: number; entries: number }> {
  const { seals, entries } = await tx
    .selectFrom('audit_seal')
    .select(({ fn }) => [fn.countAll<string>().as('seals'), fn.sum<string | null>('entries').as('entries')])
    .executeTakeFirstOrThrow();
  return { seals: Number(seals), entries: Number(entries ?? 0) };
}

/** What a check of the seals found. */
export interface TrailCheck {
  seals: number;
  entries: number;
  /** A sentence for each block or entry that is not what it was. */
  problems: string[];
}

/** Holds every entry against its own digest, and every seal against its entries and the seal before it: it reads the whole trail. */
export async function checkTrail({ tx }: Tenant): Promise<TrailCheck> {
  const changed = await sql<{ id: string }>`
    select id from audit_entry entry where digest <> audit_digest(entry) order by id limit 20`.execute(tx);
  const seals = await sql<{ n: number; entries: number; found: string; holds: boolean; follows: boolean }>`
    select n, entries,
      (select count(*) from audit_entry where id between from_id and to_id) as found,
      digest = block_digest(clinic_id, from_id, to_id, coalesce(lag(digest) over (order by n), '')) as holds,
      n = 1 + coalesce(lag(n) over (order by n), 0) and from_id = 1 + coalesce(lag(to_id) over (order by n), 0) as follows
    from audit_seal order by n`.execute(tx);
  return {
    seals: seals.rows.length,
    entries: seals.rows.reduce((sum, { entries }) => sum + entries, 0),
    problems: [
      ...changed.rows.map(({ id }) => `Entry ${id} is not what was written.`),
      ...seals.rows.flatMap(({ n, entries, found, holds, follows }) => [
        ...(Number(found) === entries ? [] : [`Block ${n} has ${found} entries, not ${entries}.`]),
        ...(holds || Number(found) !== entries ? [] : [`Block ${n} does not hold what was sealed.`]),
        ...(follows ? [] : [`Before block ${n} one is missing.`]),
      ]),
    ],
  };
}
