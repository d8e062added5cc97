import type { z } from 'zod';
import type { api } from '@/contract/contract';
import type { SiteRecord } from '@/contract/people-schema';
import { isUniqueViolation } from '../../database/outage';
import { audit, type Tenant } from '../../database/tenant';
import { notFound, Refusal } from '../../http/problem';

/** Sites of the clinic, open ones first. */
export const listSites = ({ tx }: Tenant): Promise<SiteRecord[]> =>
  tx.selectFrom('site').select(['id', 'name', 'place', 'closed']).orderBy('closed').orderBy('name').execute();

const sameName = (error: unknown): never => {
  if (isUniqueViolation(error))
    throw new Refusal(422, 'Some values cannot be accepted.', {
      errors: [{ path: ['name'], message: 'Another site has this name.' }],
    });
  throw error;
};

export async function addSite(
  tenant: Tenant,
  site: z.infer<typeof api.addSite.body>,
): Promise<{ id: string }> {
  const row = await tenant.tx
    .insertInto('site')
    .values({ clinic_id: tenant.actor.clinicId, ...site })
    .returning('id')
    .executeTakeFirstOrThrow()
    .catch(sameName);
  await audit(tenant, 'write', `site added: ${site.name}`, null);
  return row;
}

/** Renames a site, closes it or opens it again. What was done there stays there; nobody works there any more. */
export async function changeSite(
  tenant: Tenant,
  id: string,
  change: z.infer<typeof api.changeSite.body>,
): Promise<null> {
  const { tx } = tenant;
  const before = await tx.selectFrom('site').select('name').where('id', '=', id).executeTakeFirst();
  if (!before) throw notFound('This site');
  if (Object.keys(change).length > 0)
    await tx.updateTable('site').set(change).where('id', '=', id).execute().catch(sameName);
  if (change.closed)
    await tx.updateTable('auth.user').set({ site_id: null }).where('site_id', '=', id).execute();
  await audit(tenant, 'write', `site ${before.name}: ${Object.keys(change).join(', ')}`, null);
  return null;
}

/** Says at which site one works from now on; null: at none in particular. */
export async function chooseSite(tenant: Tenant, site: string | null): Promise<null> {
  const { tx, actor } = tenant;
  if (site !== null) {
    const open = await tx
      .selectFrom('site')
      .select('id')
      .where('id', '=', site)
      .where('closed', '=', false)
      .executeTakeFirst();
    if (!open) throw notFound('This site');
  }
  await tx.updateTable('auth.user').set({ site_id: site }).where('id', '=', actor.userId).execute();
  return null;
}

/** Where somebody works, in words: the site and its place, else the clinic's. */
export async function placeOfWork(
  { tx, actor }: Tenant,
  clinic: { name: string; place: string },
): Promise<string> {
  const site = actor.siteId
    ? await tx.selectFrom('site').select(['name', 'place']).where('id', '=', actor.siteId).executeTakeFirst()
    : undefined;
  return site ? `${clinic.name}, ${site.name}, ${site.place}` : `${clinic.name}, ${clinic.place}`;
}
