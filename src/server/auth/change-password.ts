import { verifyPassword } from 'better-auth/crypto';
import type { z } from 'zod';
import type { passwordChangeSchema } from '@/contract/people-schema';
import { authDatabase } from '../database/connection';
import { Refusal, refusedAt } from '../http/problem';
import { newPassword } from './account';
import { signedIn } from './actor';
import { inTransaction } from './in-transaction';
import { noteInTrail } from './sign-in-guard';

/** Changes one's own password, after the one that holds now; every other browser of this account is signed out. */
export async function changePassword(
  { current, password }: z.infer<typeof passwordChangeSchema>,
  headers: Headers,
): Promise<{ changed: true }> {
  const who = await signedIn(headers);
  if (who?.by !== 'cookie') throw new Refusal(401, 'Sign in to go on.');
  const { accountId, sessionId } = who;
  const { rows } = await authDatabase().query<{ hash: string; name: string; email: string }>(
    `select a.password as hash, u.name, u.email from auth.account a join auth."user" u on u.id = a."userId"
     where a."userId" = $1 and a."providerId" = 'credential'`,
    [accountId],
  );
  const [account] = rows;
  if (!account || !(await verifyPassword({ hash: account.hash, password: current }))) {
    if (account) await noteInTrail(account.email, 'refused', 'password change: wrong password');
    throw refusedAt('current', 'This is not your password.');
  }
  const hash = await newPassword(password, [account.name, account.email]);
  await inTransaction(async (client) => {
    await client.query(
      `update auth.account set password = $2, "updatedAt" = now() where "userId" = $1 and "providerId" = 'credential'`,
      [accountId, hash],
    );
    await client.query('delete from auth.session where "userId" = $1 and id <> $2', [accountId, sessionId]);
  });
  await noteInTrail(account.email, 'sign-in', 'changed the password');
  return { changed: true };
}
