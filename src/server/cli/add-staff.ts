import { randomUUID } from 'node:crypto';
import { hashPassword } from 'better-auth/crypto';
import { type Kysely, sql } from 'kysely';
import type { Database } from '../database/schema';

/** Adds people who can sign in, with one password; returns their identifiers in order. */
export async function addStaff(
  tx: Kysely<Database>,
  clinicId: string,
  staff: readonly { name: string; email: string; role: string }[],
  password: string,
): Promise<string[]> {
  const hash = await hashPassword(password);
  const ids: string[] = [];
  for (const person of staff) {
    const id = randomUUID();
    await sql`insert into auth."user" (id, clinic_id, name, email, "emailVerified", role)
      values (${id}, ${clinicId}, ${person.name}, ${person.email}, true, ${person.role})`.execute(tx);
    await sql`insert into auth.account (id, "accountId", "providerId", "userId", password)
      values (${randomUUID()}, ${id}, 'credential', ${id}, ${hash})`.execute(tx);
    ids.push(id);
  }
  return ids;
}
