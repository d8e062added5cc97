import { verifyPassword } from 'better-auth/crypto';
import type { z } from 'zod';
import type { joinSchema } from '@/contract/people-schema';
import { authDatabase } from '../database/connection';
import { Refusal, refusedAt } from '../http/problem';
import { newPassword, setPassword } from './account';
import { inTransaction } from './in-transaction';
import { linkDigest } from './link';

/** Whom a link is for, as long as it opens something. */
export interface Joining {
  userId: string;
  name: string;
  email: string;
  kind: 'invitation' | 'reset';
  /** Somebody signs in with this address already, in another clinic: they join with that account. */
  account: string | null;
}

/** Wrong passwords that one link takes. */
const TRIES = 10;

const FIND = `select l.user_id as "userId", u.name, u.contact_email as email, l.kind,
    (select other.id from auth."user" other where other.email = u.contact_email and other.id <> u.id) as account
  from auth.password_link l join auth."user" u on u.id = l.user_id
  where l.hash = $1 and l.used_at is null and l.expires_at > now() and u.standing in ('invited', 'active') and l.tries < ${TRIES}`;

/** Null where a link is not known, was used, is too old, or its person is no longer let in. */
export async function whoJoins(token: string): Promise<Joining | null> {
  const { rows } = await authDatabase().query<Joining>(FIND, [linkDigest(token)]);
  return rows[0] ?? null;
}

const gone = () => new Refusal(404, 'This link no longer works. Ask your lead for a new one.');

/**
 * Opens a link with a password. Who has no account yet chooses one; who signs in with this address already, in another
 * clinic, proves it and has a further seat. The link is used up.
 */
export async function join({ token, password }: z.infer<typeof joinSchema>): Promise<{ email: string }> {
  const before = await whoJoins(token);
  if (!before) throw gone();
  const hash = before.account
    ? await provenAccount(linkDigest(token), before.account, password)
    : await newPassword(password, [before.name, before.email]);
  return inTransaction(async (client) => {
    const { rows } = await client.query<Joining>(`${FIND} for update of l`, [linkDigest(token)]);
    const [who] = rows;
    if (!who || who.account !== before.account) throw gone();
    if (who.account) {
      await client.query('update auth."user" set person_of = $2 where id = $1', [who.userId, who.account]);
    } else {
      await client.query('update auth."user" set email = contact_email where id = $1', [who.userId]);
      await setPassword(client, who.userId, hash);
    }
    // A password that came by one clinic's letter opens that clinic alone: the others ask again.
    if (who.kind === 'reset')
      await client.query(
        `update auth."user" set person_of = null, standing = 'invited' where person_of = $1 and standing = 'active'`,
        [who.userId],
      );
    await client.query('update auth.password_link set used_at = now() where hash = $1', [linkDigest(token)]);
    await client.query(
      `update auth."user" set standing = 'active', "emailVerified" = true, "updatedAt" = now() where id = $1`,
      [who.userId],
    );
    return { email: who.email };
  });
}

/** The password of the account that somebody has already, or a refusal at the field; tries are counted on the link. */
async function provenAccount(link: string, account: string, password: string): Promise<string> {
  // Counted before the password is looked at, so that a hundred at once are a hundred.
  const { rowCount } = await authDatabase().query(
    'update auth.password_link set tries = tries + 1 where hash = $1 and tries < $2',
    [link, TRIES],
  );
  if (rowCount !== 1) throw gone();
  const { rows } = await authDatabase().query<{ password: string }>(
    `select password from auth.account where "userId" = $1 and "providerId" = 'credential'`,
    [account],
  );
  const hash = rows[0]?.password;
  if (!hash || !(await verifyPassword({ hash, password })))
    throw refusedAt('password', 'This is not the password that you sign in with.');
  return hash;
}
