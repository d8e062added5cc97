import type { Selectable } from 'kysely';
import type { Database } from '../../database/schema';
import type { Tenant } from '../../database/tenant';
import { notFound } from '../../http/problem';

/** A patient's row, or a refusal: not there, of another clinic, erased, folded into another record, closed from view. */
export async function patientRow({ tx }: Tenant, id: string): Promise<Selectable<Database['patient']>> {
  const row = await tx.selectFrom('patient').selectAll().where('id', '=', id).executeTakeFirst();
  if (!row) throw notFound('This patient');
  return row;
}
