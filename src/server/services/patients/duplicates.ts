import { sql } from 'kysely';
import type { Duplicates, LikelyRecord } from '@/contract/patients-schema';
import { oncePerTransaction } from '../../database/once';
import { audit, type Tenant } from '../../database/tenant';
import { notFound, Refusal } from '../../http/problem';
import { today } from '../clock';
import { refreshForecasts } from '../pairs/forecasts';
import { patientRow } from './patient-row';

const MOST = 50;

interface Pair {
  one: string;
  other: string;
  why: string;
}

/**
 * Records that may be one person: born on the same day with one name alike, or with the same two names. Each arm joins by what
 * it compares, so that the cost grows with the records and not with their pairs.
 */
async function likelyPairs({ tx }: Tenant): Promise<Pair[]> {
  const { rows } = await sql<Pair>`
    select one, other, min(why) as why from (
      select a.id as one, b.id as other, 'Born on the same day, with one name alike' as why
        from patient a join patient b on b.born_on = a.born_on and a.id < b.id
        where lower(a.family_name) = lower(b.family_name) or lower(a.given_name) = lower(b.given_name)
      union all
      select a.id, b.id, 'The same name, another date of birth'
        from patient a join patient b on lower(b.family_name) = lower(a.family_name)
          and lower(b.given_name) = lower(a.given_name) and a.id < b.id and a.born_on <> b.born_on
    ) likely group by one, other order by why, one, other limit ${MOST}`.execute(tx);
  return rows;
}

async function recordsOf({ tx }: Tenant, ids: readonly string[]): Promise<Map<string, LikelyRecord>> {
  if (ids.length === 0) return new Map();
  const rows = await tx
    .selectFrom('patient')
    .select(['id', 'given_name', 'family_name', 'born_on', 'occupation', 'phone', 'created_at'])
    .select((is) => {
      const count = (table: 'visit' | 'pair' | 'shoe_order') =>
        is
          .selectFrom(table)
          .select(({ fn }) => fn.countAll<string>().as('n'))
          .whereRef(`${table}.patient_id`, '=', 'patient.id');
      return [
        count('visit').as('visits'),
        count('pair').as('pairs'),
        count('shoe_order').as('orders'),
        count('visit').where('visit.closed_at', 'is', null).as('open'),
      ];
    })
    .where('id', 'in', ids)
    .execute();
  return new Map(
    rows.map((row) => [
      row.id,
      {
        id: row.id,
        name: `${row.given_name} ${row.family_name}`,
        bornOn: row.born_on,
        occupation: row.occupation,
        phone: row.phone,
        since: today(row.created_at),
        visits: Number(row.visits),
        pairs: Number(row.pairs),
        orders: Number(row.orders),
        openVisit: Number(row.open) > 0,
      },
    ]),
  );
}

/** Records that may be one person, side by side, and those that were folded into one and can be taken apart again. */
export async function listDuplicates(tenant: Tenant): Promise<Duplicates> {
  await audit(tenant, 'read', 'records that may be one person', null);
  const pairs = await likelyPairs(tenant);
  const records = await recordsOf(tenant, [...new Set(pairs.flatMap(({ one, other }) => [one, other]))]);
  const merged = await tenant.tx
    .selectFrom('merge')
    .leftJoin('auth.user as writer', 'writer.id', 'by_user')
    .select(['merge.id', 'kept', 'folded_name', 'moved', 'at', 'writer.name'])
    .where('undone_at', 'is', null)
    .where('folded_name', '<>', '')
    .orderBy('at', 'desc')
    .limit(MOST)
    .execute();
  return {
    likely: pairs.flatMap(({ one, other, why }) => {
      const [first, second] = [records.get(one), records.get(other)];
      return first && second ? [{ why, records: [first, second] }] : [];
    }),
    merged: merged.map((row) => ({
      id: row.id,
      kept: row.kept,
      name: row.folded_name,
      by: row.name ?? '',
      at: row.at.toISOString(),
      moved: Object.values(row.moved).flat().length,
    })),
  };
}

/** Folds one record into another: all that hangs on it moves, its own name and dates stay aside. It can be taken back. */
export async function mergePatients(tenant: Tenant, kept: string, folded: string): Promise<{ id: string }> {
  const { tx, actor } = tenant;
  await patientRow(tenant, kept);
  await patientRow(tenant, folded);
  if (kept === folded) throw new Refusal(422, 'These are one record already.');
  const open = await tx
    .selectFrom('visit')
    .select('id')
    .where('patient_id', 'in', [kept, folded])
    .where('closed_at', 'is', null)
    .execute();
  if (open.length > 1)
    throw new Refusal(409, 'Both records have a visit open. End one of the two first, then fold them.');
  const { rows } = await sql<{ id: string | null }>`
    select merge_patients(${kept}::uuid, ${folded}::uuid, ${actor.userId}) as id`.execute(tx);
  withFolded.forget(tenant);
  const id = rows[0]?.id;
  if (!id) throw new Refusal(409, 'One of these records was folded or closed a moment ago. Look again.');
  await refreshForecasts(tenant, { patientId: kept });
  await audit(tenant, 'write', 'another record was folded into this one', kept);
  await audit(tenant, 'write', 'folded into another record', folded);
  return { id };
}

/** Takes the two apart again; what came since stays with the record that was kept. */
export async function undoMerge(tenant: Tenant, id: string): Promise<null> {
  const { tx } = tenant;
  const merge = await tx
    .selectFrom('merge')
    .select(['kept', 'folded'])
    .where('id', '=', id)
    .executeTakeFirst();
  if (!merge) throw notFound('This');
  const { rows } = await sql<{ done: boolean }>`select unmerge_patients(${id}::uuid) as done`.execute(tx);
  withFolded.forget(tenant);
  if (!rows[0]?.done)
    throw new Refusal(
      409,
      'These two can no longer be taken apart: one was erased, closed, or taken apart already.',
    );
  for (const patientId of [merge.kept, merge.folded]) await refreshForecasts(tenant, { patientId });
  await audit(tenant, 'write', 'taken apart from another record', merge.kept);
  await audit(tenant, 'write', 'taken out of another record', merge.folded);
  return null;
}

/** A record and those that were folded into it: what hangs on their links is of one person. */
export const withFolded = oncePerTransaction(async ({ tx }, id: string): Promise<readonly string[]> => {
  const rows = await tx
    .selectFrom('merge')
    .select('folded')
    .where('kept', '=', id)
    .where('undone_at', 'is', null)
    .execute();
  return [id, ...rows.map(({ folded }) => folded)];
});

/** The record that this one was folded into, for whoever follows an old link. */
export async function foldedInto({ tx }: Tenant, id: string): Promise<string | null> {
  const row = await tx
    .selectFrom('merge')
    .select('kept')
    .where('folded', '=', id)
    .where('undone_at', 'is', null)
    .executeTakeFirst();
  return row?.kept ?? null;
}
