import { z } from 'zod';
import { whoOptsOut } from '../../auth/opt-out';
import { asTenant, audit } from '../../database/tenant';
import { notFound } from '../../http/problem';

export const optOutSchema = z.strictObject({ token: z.string().max(200) });

/** Somebody wants no more notes: from now on the list says not to contact them. */
export async function optOut({ token }: z.infer<typeof optOutSchema>): Promise<{ done: true }> {
  const who = whoOptsOut(token);
  if (!who) throw notFound('This');
  const actor = {
    userId: 'opt-out',
    clinicId: who.clinicId,
    role: 'assistant',
    name: 'by the link in a note',
    siteId: null,
  } as const;
  return asTenant(actor, async (tenant) => {
    const row = await tenant.tx
      .updateTable('patient')
      .set({ contact_by: 'none' })
      .where('id', '=', who.patientId)
      .returning('id')
      .executeTakeFirst();
    if (!row) throw notFound('This');
    await audit(tenant, 'write', 'wants no more notes', row.id);
    return { done: true } as const;
  });
}
