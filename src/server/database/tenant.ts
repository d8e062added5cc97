import { type Kysely, sql, type Transaction } from 'kysely';
import type { AuditAction } from '@/contract/people-schema';
import type { Role } from '@/contract/routes';
import { appDatabase, replicaDatabase } from './connection';
import { isOutage } from './outage';
import type { Database } from './schema';

/** Who asks: a signed-in person or a machine holding that person's token. */
export interface Actor {
  userId: string;
  clinicId: string;
  role: Role;
  name: string;
  /** At which site of the clinic, where it has several. */
  siteId: string | null;
}

/** A transaction that has said which clinic it speaks for, and who speaks. */
export interface Tenant {
  tx: Transaction<Database>;
  actor: Actor;
  /** What is to be noted once this has read, where it reads from a database that takes no notes. */
  notes?: Note[];
}

interface Note {
  action: AuditAction;
  what: string;
  patientId: string | null;
}

/**
 * The only way to a clinic's data: a transaction in which PostgreSQL has been told the clinic, so that row-level
 * security decides what exists.
 */
export function asTenant<T>(
  actor: Actor,
  work: (tenant: Tenant) => Promise<T>,
  database: Kysely<Database> = appDatabase(),
): Promise<T> {
  return database.transaction().execute(async (tx) => {
    await sql`select set_config('sovet.clinic', ${actor.clinicId}, true), set_config('sovet.user', ${actor.userId}, true)`.execute(
      tx,
    );
    return work({ tx, actor });
  });
}

/** A replica that follows: it takes in what the other writes, and has played it back, or did so a moment ago. */
const FOLLOWS = sql<boolean>`exists (select from pg_stat_wal_receiver) and (pg_last_wal_receive_lsn() = pg_last_wal_replay_lsn()
  or now() - pg_last_xact_replay_timestamp() < interval '2 seconds')`;

class Behind extends Error {}

/**
 * For what only reads, of which a moment ago is as good as now: insights, the trail, a calendar. Read from the replica where there is
 * one that follows, else from the database itself; what is noted of it is written there before anybody sees what was read.
 */
export async function asReader<T>(actor: Actor, work: (tenant: Tenant) => Promise<T>): Promise<T> {
  const replica = replicaDatabase();
  if (!replica) return asTenant(actor, work);
  const notes: Note[] = [];
  let read: T;
  try {
    read = await asTenant(
      actor,
      async (tenant) => {
        const { rows } = await sql<{ follows: boolean }>`select ${FOLLOWS} as follows`.execute(tenant.tx);
        if (!rows[0]?.follows) throw new Behind();
        return work({ ...tenant, notes });
      },
      replica,
    );
  } catch (error) {
    if (!(error instanceof Behind) && !isOutage(error)) throw error;
    return asTenant(actor, work);
  }
  if (notes.length > 0)
    await asTenant(actor, async (tenant) => {
      for (const { action, what, patientId } of notes) await audit(tenant, action, what, patientId);
    });
  return read;
}

/** Appends who did what, and with which patient, under the name of that moment. */
export async function audit(
  { tx, actor, notes }: Tenant,
  action: AuditAction,
  what: string,
  patientId: string | null,
): Promise<void> {
  if (notes) {
    notes.push({ action, what, patientId });
    return;
  }
  await tx
    .insertInto('audit_entry')
    .values({
      clinic_id: actor.clinicId,
      user_id: actor.userId,
      who: actor.name,
      patient_id: patientId,
      action,
      what,
    })
    .execute();
}
