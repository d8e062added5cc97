import type { z } from 'zod';
import type { joinSchema } from '@/contract/people-schema';
import { authDatabase } from '../database/connection';
import { Refusal } from '../http/problem';
import { newPassword, setPassword } from './account';
import { linkDigest } from './link';

/** Whom a link is for, as long as it opens something. */
export interface Joining {
  userId: string;
  name: string;
  email: string;
  kind: 'invitation' | 'reset';
}

const FIND = `select l.user_id as "userId", u.name, u.email, l.kind
  from auth.password_link l join auth."user" u on u.id = l.user_id
  where l.hash = $1 and l.used_at is null and l.expires_at > now() and u.standing in ('invited', 'active')`;

/** Null where a link is not known, was used, is too old, or its person is no longer let in. */
export async function whoJoins(token: string): Promise<Joining | null> {
  const { rows } = await authDatabase().query<Joining>(FIND, [linkDigest(token)]);
  return rows[0] ?? null;
}

/** Sets the password that somebody chose through a link; the link is used up, and everything signed in before is out. */
export async function join({ token, password }: z.infer<typeof joinSchema>): Promise<{ email: string }> {
  const before = await whoJoins(token);
  const gone = () => new Refusal(404, 'This link no longer opens anything. Ask your lead for a new one.');
  if (!before) throw gone();
  const hash = await newPassword(password, [before.name, before.email]);
  const client = await authDatabase().connect();
  try {
    await client.query('begin');
    const { rows } = await client.query<Joining>(`${FIND} for update of l`, [linkDigest(token)]);
    const [who] = rows;
    if (!who) throw gone();
    await setPassword(client, who.userId, hash);
    await client.query('update auth.password_link set used_at = now() where hash = $1', [linkDigest(token)]);
    await client.query(
      `update auth."user" set standing = 'active', "emailVerified" = true, "updatedAt" = now() where id = $1`,
      [who.userId],
    );
    await client.query('commit');
    return { email: who.email };
  } catch (error) {
    await client.query('rollback');
    throw error;
  } finally {
    client.release();
  }
}
