import { createHash, randomUUID } from 'node:crypto';
import { hashPassword } from 'better-auth/crypto';
import type { z } from 'zod';
import type { setUpSchema } from '@/contract/people-schema';
import { authDatabase } from '../database/connection';
import { Refusal } from '../http/problem';
import { passwordProblem } from './passwords';

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

const refuse = (field: string, message: string): Refusal =>
  new Refusal(422, 'Some values cannot be accepted.', { errors: [{ path: [field], message }] });

/** The password of an account that is made or changed here, hashed; refused at its field where it is weak. */
export async function newPassword(password: string, about: readonly string[]): Promise<string> {
  const problem = passwordProblem(password, about);
  if (problem) throw refuse('password', problem);
  return hashPassword(password);
}

/** Makes the first clinic and its lead, once, for whoever has read the code on the console. */
export async function setUp(wanted: z.infer<typeof setUpSchema>): Promise<void> {
  const { code, clinic, place, name, email } = wanted;
  const password = await newPassword(wanted.password, [clinic, place, name, email]);
  const client = await authDatabase().connect();
  try {
    await client.query('begin');
    // Whoever comes second finds the code gone.
    const { rowCount } = await client.query(
      'select 1 from auth.set_up where hash = $1 and expires_at > now() for update',
      [setUpDigest(code)],
    );
    if (rowCount !== 1)
      throw refuse('code', 'This is not the code that the console shows. It changes with each start.');
    const [clinicId, userId] = [randomUUID(), randomUUID()];
    await client.query('insert into public.clinic (clinic_id, name, place) values ($1, $2, $3)', [
      clinicId,
      clinic,
      place,
    ]);
    await client.query(
      `insert into auth."user" (id, clinic_id, name, email, "emailVerified", role) values ($1, $2, $3, $4, true, 'lead')`,
      [userId, clinicId, name, email.toLowerCase()],
    );
    await setPassword(client, userId, password);
    await client.query('delete from auth.set_up');
    await client.query('commit');
  } catch (error) {
    await client.query('rollback');
    throw error;
  } finally {
    client.release();
  }
}

/** Gives an account its password; sessions and second thoughts of an older one end. */
export async function setPassword(
  client: { query: (text: string, values: unknown[]) => Promise<unknown> },
  userId: string,
  hash: string,
): Promise<void> {
  await client.query(`delete from auth.account where "userId" = $1 and "providerId" = 'credential'`, [
    userId,
  ]);
  await client.query(
    `insert into auth.account (id, "accountId", "providerId", "userId", password) values ($1, $2, 'credential', $2, $3)`,
    [randomUUID(), userId, hash],
  );
  await client.query('delete from auth.session where "userId" = $1', [userId]);
}
