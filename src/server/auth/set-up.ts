import { createHash, randomUUID } from 'node:crypto';
import type { z } from 'zod';
import type { setUpSchema } from '@/contract/people-schema';
import { authDatabase } from '../database/connection';
import { refusedAt } from '../http/problem';
import { newPassword, setPassword } from './account';
import { inTransaction } from './in-transaction';

/** A set-up code as it is kept. Twelve letters of thirty-one: nobody guesses it within a day at the rate that is let through. */
export const setUpDigest = (code: string): string =>
  createHash('sha256').update(`set up ${code.trim().toUpperCase()}`).digest('hex');

/** Whether this server waits for its first clinic. */
export async function waitsForSetUp(): Promise<boolean> {
  const { rows } = await authDatabase().query<{ waits: boolean }>(
    'select exists (select from auth.set_up where expires_at > now()) as waits',
  );
  return rows[0]?.waits ?? false;
}

/** Makes the first clinic and its lead, once, for whoever has read the code on the console. */
export async function setUp(wanted: z.infer<typeof setUpSchema>): Promise<void> {
  const { code, clinic, place, name, email } = wanted;
  const password = await newPassword(wanted.password, [clinic, place, name, email]);
  await inTransaction(async (client) => {
    // Whoever comes second finds the code gone.
    const { rowCount } = await client.query(
      'select 1 from auth.set_up where hash = $1 and expires_at > now() for update',
      [setUpDigest(code)],
    );
    if (rowCount !== 1)
      throw refusedAt('code', 'This is not the code that the console shows. It changes with each start.');
    const [clinicId, userId] = [randomUUID(), randomUUID()];
    await client.query(
      'insert into public.clinic (clinic_id, name, place, school, life_school, formats) values ($1, $2, $3, $4, $5, $6)',
      [clinicId, clinic, place, wanted.school, wanted.lifeSchool, JSON.stringify(wanted.formats)],
    );
    await client.query(
      `insert into auth."user" (id, clinic_id, name, email, "emailVerified", role) values ($1, $2, $3, $4, true, 'lead')`,
      [userId, clinicId, name, email.toLowerCase()],
    );
    await setPassword(client, userId, password);
    await client.query('delete from auth.set_up');
  });
}
