import { type Kysely, sql, type Transaction } from 'kysely';
import type { AuditAction } from '@/contract/people-schema';
import type { Role } from '@/contract/routes';
import { appDatabase } from './connection';
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

/** Appends who did what, and with which patient, under the name of that moment. */
export async function audit(
  { tx, actor }: Tenant,
  action: AuditAction,
  what: string,
  patientId: string | null,
): Promise<void> {
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
