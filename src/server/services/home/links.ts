import { addDays } from 'date-fns';
import type { HomeRecord } from '@/contract/home';
import { HOME_TRIES, homeDigest, homeToken } from '../../auth/home-link';
import { audit, type Tenant } from '../../database/tenant';
import { notFound } from '../../http/problem';
import { siteOrigin } from '../../http/site-origin';
import { withFolded } from '../patients/duplicates';
import { patientRow } from '../patients/patient-row';

type Link = HomeRecord['links'][number];

/** Where a link leads. Its secret stands behind the #: a browser sends that to nobody. */
export const homeAddress = (token: string): string => `${siteOrigin()}/home#${token}`;

function stateOf(
  row: { revoked_at: Date | null; expires_at: Date; tries: number },
  now: Date,
): Link['state'] {
  if (row.revoked_at) return 'revoked';
  if (row.expires_at <= now) return 'expired';
  return row.tries >= HOME_TRIES ? 'locked' : 'good';
}

/** Links to one patient’s own page, the latest first. */
export async function listHomeLinks(tenant: Tenant, patientId: string, now = new Date()): Promise<Link[]> {
  const rows = await tenant.tx
    .selectFrom('home_link')
    .leftJoin('auth.user as maker', 'maker.id', 'home_link.made_by')
    .leftJoin('home_phone', (join) =>
      join
        .onRef('home_phone.link_id', '=', 'home_link.id')
        .onRef('home_phone.clinic_id', '=', 'home_link.clinic_id'),
    )
    .select(['home_link.id', 'made_at', 'expires_at', 'revoked_at', 'tries', 'home_link.hash', 'maker.name'])
    .select(({ fn }) => [fn.count('home_phone.id').as('phones'), fn.max('home_phone.seen_at').as('seen_at')])
    .where('patient_id', 'in', await withFolded(tenant, patientId))
    .groupBy(['home_link.clinic_id', 'home_link.id', 'maker.name'])
    .orderBy('made_at', 'desc')
    .execute();
  return rows.map((row) => {
    const state = stateOf(row, now);
    const token = homeToken(row.id);
    return {
      id: row.id,
      madeAt: row.made_at.toISOString(),
      by: row.name ?? '',
      expiresAt: row.expires_at.toISOString(),
      state,
      url: state === 'good' && homeDigest(token) === row.hash ? homeAddress(token) : null,
      phones: Number(row.phones),
      seenAt: row.seen_at?.toISOString() ?? null,
    };
  });
}

/** Where a patient’s page is reached, if any link to it is good. */
export const goodHomeAddress = async (tenant: Tenant, patientId: string): Promise<string | null> =>
  (await listHomeLinks(tenant, patientId)).find(({ url }) => url !== null)?.url ?? null;

/** Makes a link; answers its number. */
export async function makeHomeLink(tenant: Tenant, patientId: string, days: number): Promise<string> {
  await patientRow(tenant, patientId);
  const id = crypto.randomUUID();
  await tenant.tx
    .insertInto('home_link')
    .values({
      clinic_id: tenant.actor.clinicId,
      id,
      patient_id: patientId,
      hash: homeDigest(homeToken(id)),
      made_by: tenant.actor.userId,
      expires_at: addDays(new Date(), days),
      revoked_at: null,
    })
    .execute();
  await audit(tenant, 'write', 'link to the patient’s own page made', patientId);
  return id;
}

/** Closes a link and every phone that opened it. */
export async function revokeHomeLink(tenant: Tenant, id: string): Promise<null> {
  const row = await tenant.tx
    .updateTable('home_link')
    .set((eb) => ({ revoked_at: eb.fn.coalesce('revoked_at', eb.val(new Date())) }))
    .where('id', '=', id)
    .returning('patient_id')
    .executeTakeFirst();
  if (!row) throw notFound('This link');
  await tenant.tx.deleteFrom('home_phone').where('link_id', '=', id).execute();
  await audit(tenant, 'write', 'link to the patient’s own page closed', row.patient_id);
  return null;
}
