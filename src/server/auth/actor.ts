import { parseCookies } from 'better-auth/cookies';
import type { Area, TokenAccess } from '@/contract/people-schema';
import { authDatabase } from '../database/connection';
import { auth, LONGEST_SESSION_MS } from './auth';
import { rememberedBehind } from './remembered';
import { type Seated, seatOf, seatOfToken } from './seats';
import { hashToken } from './token';

/** What a token may do; `areas` null: everywhere. */
export interface TokenScope {
  access: TokenAccess;
  areas: readonly Area[] | null;
}

/** How somebody proved who they are: only a browser's cookie needs an origin check, only a token has a scope. */
export type SignedIn = Seated &
  ({ by: 'cookie'; sessionId: string; accountId: string } | { by: 'token'; scope: TokenScope });

/** Who a request comes from, or null. A bearer token wins over a cookie. */
export async function signedIn(headers: Headers): Promise<SignedIn | null> {
  const bearer = /^Bearer (.+)$/.exec(headers.get('authorization') ?? '')?.[1];
  if (bearer) return byToken(bearer);
  const cookie = await sessionCookie(headers);
  return cookie === null ? null : rememberedBehind(cookie, () => bySession(headers));
}

/** The session's cookie as it came, signature and all; null where the browser has none. */
async function sessionCookie(headers: Headers): Promise<string | null> {
  const { name } = (await auth().$context).authCookies.sessionToken;
  return parseCookies(headers.get('cookie') ?? '').get(name) ?? null;
}

async function bySession(headers: Headers) {
  const found = await auth().api.getSession({ headers });
  if (!found) return null;
  const until = Math.min(
    found.session.createdAt.getTime() + LONGEST_SESSION_MS,
    found.session.expiresAt.getTime(),
  );
  if (Date.now() > until) return null;
  const accountId = found.user.id;
  const seat = await seatOf(accountId, found.session.seat ?? null);
  return seat && { who: { ...seat, by: 'cookie' as const, sessionId: found.session.id, accountId }, until };
}

async function byToken(token: string): Promise<SignedIn | null> {
  const { rows } = await authDatabase().query<TokenScope & { userId: string; clinicId: string }>(
    `update public.access_token set last_used_at = now() where hash = $1 and expires_at > now()
     returning user_id as "userId", clinic_id as "clinicId", access, areas`,
    [hashToken(token)],
  );
  const [used] = rows;
  if (!used) return null;
  const seat = await seatOfToken(used.userId, used.clinicId);
  return seat && { ...seat, by: 'token', scope: { access: used.access, areas: used.areas } };
}

/** Whether a token's scope reaches so far. Reading is what changes nothing, a calculation too. */
export const isWithin = ({ access, areas }: TokenScope, changes: boolean, area: Area | null): boolean =>
  (access === 'write' || !changes) && (areas === null || (area !== null && areas.includes(area)));
