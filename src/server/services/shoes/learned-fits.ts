import { sql } from 'kysely';
import { lastShapeOf } from '@/core/sizing/last-shape';
import { type LearnedFit, learnOffsets, UNSEEN_FIT } from '@/core/sizing/learned/learn-offsets';
import type { Tenant } from '../../database/tenant';

export type Fits = ReadonlyMap<string, LearnedFit>;

/** Clinics whose last learning is kept in memory: it follows from the records alone, so that every copy keeps its own. */
const KEPT = 16;
const kept = new Map<string, { version: string; fits: Fits }>();

/** Moves with every fitting that is added, taken back or written anew. */
export async function fittingsVersion({ tx }: Tenant): Promise<string> {
  const { rows } = await sql<{ version: string }>`
    select concat(count(*), ' ', extract(epoch from max(fitted_at))) as version from fitting`.execute(tx);
  return rows[0]?.version ?? '';
}

/**
 * What this clinic's fittings teach of every model's true inside. Makers of whom nothing was fitted are not even read: of a large
 * catalogue these are nearly all.
 */
async function learn({ tx }: Tenant): Promise<Fits> {
  const fittings = await tx
    .selectFrom('fitting')
    .select(['model_id', 'feet'])
    .where(sql<boolean>`jsonb_array_length(feet) > 0`)
    .execute();
  const fitted = [...new Set(fittings.map(({ model_id }) => model_id))];
  const makers = tx
    .selectFrom('shoe_model')
    .select('maker')
    .where('id', '=', sql<string>`any(${fitted}::uuid[])`);
  const models = await tx
    .selectFrom('shoe_model')
    .select(['id', 'maker', 'name', 'sizing', 'features'])
    .where('maker', 'in', makers)
    .execute();
  const learned = learnOffsets(
    models.map((model) => ({ ...model, foldPercent: lastShapeOf(model.features).foldPercent })),
    fittings.map(({ model_id, feet }) => ({ version: model_id, feet })),
  );
  const all = await tx.selectFrom('shoe_model').select('id').execute();
  return new Map(all.map(({ id }) => [id, learned.get(id) ?? UNSEEN_FIT]));
}

/** What was learned of every model under a version of the catalogue and its fittings, worked out once. */
export async function fitsOf(tenant: Tenant, version: string): Promise<Fits> {
  const { clinicId } = tenant.actor;
  const before = kept.get(clinicId);
  if (before?.version === version) return before.fits;
  const fits = await learn(tenant);
  kept.delete(clinicId);
  kept.set(clinicId, { version, fits });
  for (const [oldest] of kept) if (kept.size > KEPT) kept.delete(oldest);
  return fits;
}
