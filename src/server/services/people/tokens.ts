import { addDays } from 'date-fns';
import type { z } from 'zod';
import type { newTokenSchema } from '@/contract/people-schema';
import type { TokenRecord } from '@/contract/records';
import { hashToken, newToken } from '../../auth/token';
import { audit, type Tenant } from '../../database/tenant';
import { notFound } from '../../http/problem';

export async function listTokens({ tx, actor }: Tenant): Promise<TokenRecord[]> {
  const rows = await tx
    .selectFrom('access_token')
    .selectAll()
    .where('user_id', '=', actor.userId)
    .orderBy('created_at', 'desc')
    .execute();
  return rows.map((row) => ({
    id: row.id,
    name: row.name,
    createdAt: row.created_at.toISOString(),
    lastUsedAt: row.last_used_at?.toISOString() ?? null,
    expiresAt: row.expires_at.toISOString(),
    access: row.access,
    areas: row.areas,
  }));
}

/** Makes a token; this answer is the only time it can be read. */
export async function addToken(
  tenant: Tenant,
  { name, days, access, areas }: z.infer<typeof newTokenSchema>,
): Promise<{ id: string; token: string }> {
  const token = newToken();
  const { id } = await tenant.tx
    .insertInto('access_token')
    .values({
      clinic_id: tenant.actor.clinicId,
      user_id: tenant.actor.userId,
      name,
      hash: hashToken(token),
      last_used_at: null,
      expires_at: addDays(new Date(), days),
      access,
      areas: areas ?? null,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  await audit(tenant, 'write', `access token made: ${access}, ${areas?.join(' ') ?? 'every area'}`, null);
  return { id, token };
}

export async function removeToken(tenant: Tenant, id: string): Promise<null> {
  const gone = await tenant.tx
    .deleteFrom('access_token')
    .where('id', '=', id)
    .where('user_id', '=', tenant.actor.userId)
    .executeTakeFirst();
  if (gone.numDeletedRows === 0n) throw notFound('This token');
  await audit(tenant, 'write', 'access token revoked', null);
  return null;
}
