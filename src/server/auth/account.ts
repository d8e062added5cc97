import { randomUUID } from 'node:crypto';
import { hashPassword } from 'better-auth/crypto';
import { refusedAt } from '../http/problem';
import { passwordProblem } from './passwords';

/** The password of an account that is made or changed here, hashed; refused at its field where it is weak. */
export async function newPassword(password: string, about: readonly string[]): Promise<string> {
  const problem = passwordProblem(password, about);
  if (problem) throw refusedAt('password', problem);
  return hashPassword(password);
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
