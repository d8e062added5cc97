import type { Selectable } from 'kysely';
import type { ShoeModel } from '@/core/match/model';
import type { Database } from '../database/schema';
import type { Tenant } from '../database/tenant';

export const modelOf = (row: Omit<Selectable<Database['shoe_model']>, 'clinic_id'>): ShoeModel => ({
  id: row.id,
  maker: row.maker,
  name: row.name,
  version: row.version,
  features: row.features,
  sizing: row.sizing,
  inStock: row.in_stock,
});

/** The catalogue, by maker and name. */
export async function listModels({ tx }: Tenant): Promise<ShoeModel[]> {
  const rows = await tx.selectFrom('shoe_model').selectAll().orderBy('maker').orderBy('name').execute();
  return rows.map(modelOf);
}
