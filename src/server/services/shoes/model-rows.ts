import type { Selectable } from 'kysely';
import type { ShoeModel } from '@/core/catalogue/model';
import type { Database } from '../../database/schema';

type ModelRow = Omit<Selectable<Database['shoe_model']>, 'clinic_id' | 'readings' | 'updated_at' | 'digest'>;

/** Columns of a model as ranking and sizing see it. */
export const MODEL_COLUMNS = [
  'maker',
  'name',
  'version',
  'features',
  'sizing',
  'stock',
  'boxes',
  'price',
  'status',
  'replaces',
] as const;

export const modelOf = (row: ModelRow): ShoeModel => ({
  id: row.id,
  maker: row.maker,
  name: row.name,
  version: row.version,
  features: row.features,
  sizing: row.sizing,
  stock: row.stock,
  boxes: row.boxes,
  price: row.price,
  status: row.status,
  replaces: row.replaces,
});
