import { createHash, createHmac, randomBytes } from 'node:crypto';
import { authDatabase } from '../database/connection';
import type { Actor } from '../database/tenant';

/** Wrong dates of birth that a link takes until it opens nothing any more. */
export const HOME_TRIES = 5;

const secret = (): string => {
  const value = process.env.SOVET_SECRET;
  if (!value) throw new Error('SOVET_SECRET is not set: start the application with npm start.');
  return value;
};

/**
 * The secret of a link, 132 bits: made from the server’s own secret and the link’s number, so that the same code can be printed
 * again and the database holds none of it.
 */
export const homeToken = (linkId: string): string =>
  createHmac('sha256', secret()).update(`home ${linkId}`).digest('base64url').slice(0, 22);

/** A link or a phone as it is kept. */
export const homeDigest = (token: string): string =>
  createHash('sha256').update(`home ${token}`).digest('hex');

/** A fresh secret for a phone that has opened a link: 240 random bits. */
export const newPhoneSecret = (): string => randomBytes(30).toString('base64url');

/** Who speaks through a link. */
export interface HomeCaller {
  actor: Actor;
  linkId: string;
  patientId: string;
  expiresAt: Date;
}

interface LinkRow {
  clinic_id: string;
  id: string;
  patient_id: string;
  expires_at: Date;
}

/** What comes from home is written under the number of its link. */
export const FROM_HOME = 'from home';
const BY_HOME = 'home ';
export const isFromHome = (userId: string): boolean => userId.startsWith(BY_HOME);

const callerOf = (row: LinkRow): HomeCaller => ({
  actor: {
    userId: BY_HOME + row.id,
    clinicId: row.clinic_id,
    role: 'assistant',
    name: FROM_HOME,
    siteId: null,
  },
  linkId: row.id,
  patientId: row.patient_id,
  expiresAt: row.expires_at,
});

/** Counts a try at a link before anything is compared, so that a hundred at once are a hundred; null where it opens nothing. */
export async function tryHomeLink(token: string): Promise<(HomeCaller & { triesLeft: number }) | null> {
  const { rows } = await authDatabase().query<LinkRow & { tries: number }>(
    `update public.home_link set tries = tries + 1
       where hash = $1 and revoked_at is null and expires_at > now() and tries < $2
     returning clinic_id, id, patient_id, expires_at, tries`,
    [homeDigest(token), HOME_TRIES],
  );
  const [row] = rows;
  return row ? { ...callerOf(row), triesLeft: HOME_TRIES - row.tries } : null;
}

/** A right date of birth: the count begins anew. */
export async function homeLinkOpened({ linkId, actor }: HomeCaller): Promise<void> {
  await authDatabase().query('update public.home_link set tries = 0 where clinic_id = $1 and id = $2', [
    actor.clinicId,
    linkId,
  ]);
}

/** Who a phone speaks for; null where its link was closed or is too old, or the phone never opened it. */
export async function homeCaller(linkId: string, phoneSecret: string): Promise<HomeCaller | null> {
  const { rows } = await authDatabase().query<LinkRow>(
    `select l.clinic_id, l.id, l.patient_id, l.expires_at
       from public.home_phone p join public.home_link l on l.clinic_id = p.clinic_id and l.id = p.link_id
       where p.hash = $1 and l.id = $2 and l.revoked_at is null and l.expires_at > now()`,
    [homeDigest(phoneSecret), linkId],
  );
  const [row] = rows;
  return row ? callerOf(row) : null;
}
