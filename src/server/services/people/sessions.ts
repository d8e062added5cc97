import type { SessionRecord } from '@/contract/people-schema';
import { audit, type Tenant } from '../../database/tenant';
import { notFound } from '../../http/problem';

/** Sessions that sit at one seat: its own account's, and those that moved here. */
const at = ({ tx }: Tenant, seat: string) =>
  tx
    .selectFrom('auth.session')
    .where((is) => is.or([is('seat', '=', seat), is.and([is('seat', 'is', null), is('userId', '=', seat)])]));

/** Browsers in which one is signed in at this clinic, the latest used first. */
export async function listSessions(tenant: Tenant, here: string | null): Promise<SessionRecord[]> {
  const rows = await at(tenant, tenant.actor.userId)
    .select(['id', 'userAgent', 'createdAt', 'updatedAt'])
    .where('expiresAt', '>', new Date())
    .orderBy('updatedAt', 'desc')
    .execute();
  return rows.map((row) => ({
    id: row.id,
    browser: row.userAgent ?? '',
    since: row.createdAt.toISOString(),
    lastUsedAt: row.updatedAt.toISOString(),
    here: row.id === here,
  }));
}

/** Signs one browser of one's own out. */
export async function endSession(tenant: Tenant, id: string): Promise<null> {
  const mine = await at(tenant, tenant.actor.userId).select('id').where('id', '=', id).executeTakeFirst();
  if (!mine) throw notFound('This session');
  await tenant.tx.deleteFrom('auth.session').where('id', '=', id).execute();
  await audit(tenant, 'write', 'signed a browser out', null);
  return null;
}

/** Signs somebody out of this clinic everywhere; at other clinics they stay signed in. */
export async function endSessionsAt(tenant: Tenant, seat: string): Promise<void> {
  await tenant.tx.deleteFrom('auth.session').where('id', 'in', at(tenant, seat).select('id')).execute();
}
