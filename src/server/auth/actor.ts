import type { Role } from '@/contract/routes';
import { authDatabase } from '../database/connection';
import type { Actor } from '../database/tenant';
import { auth, LONGEST_SESSION_MS } from './auth';
import { hashToken } from './token';

/** How somebody proved who they are: only a browser's cookie needs an origin check. */
export interface SignedIn {
  actor: Actor;
  by: 'cookie' | 'token';
}

/** Who a request comes from, or null. A bearer token wins over a cookie. */
export async function signedIn(headers: Headers): Promise<SignedIn | null> {
  const bearer = /^Bearer (.+)$/.exec(headers.get('authorization') ?? '')?.[1];
  if (bearer) {
    const actor = await actorOfToken(bearer);
    return actor && { actor, by: 'token' };
  }
  const session = await auth().api.getSession({ headers });
  if (!session || Date.now() - session.session.createdAt.getTime() > LONGEST_SESSION_MS) return null;
  if (session.user.standing !== 'active') return null;
  const { id, clinicId, role, name } = session.user;
  return { actor: { userId: id, clinicId, role: role as Role, name }, by: 'cookie' };
}

async function actorOfToken(token: string): Promise<Actor | null> {
  const { rows } = await authDatabase().query<Actor>(
    `with used as (
       update public.access_token set last_used_at = now() where hash = $1 and expires_at > now()
       returning user_id, clinic_id
     )
     select u.id as "userId", u.clinic_id as "clinicId", u.role, u.name
     from used join auth."user" u on u.id = used.user_id and u.clinic_id = used.clinic_id and u.standing = 'active'`,
    [hashToken(token)],
  );
  return rows[0] ?? null;
}
