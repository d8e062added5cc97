import { sql } from 'kysely';
import { lastShapeOf } from '@/core/sizing/last-shape';
import { type LearnedFit, learnOffsets, UNSEEN_FIT } from '@/core/sizing/learned/learn-offsets';
import type { Tenant } from '../../database/tenant';
import { readParts } from './catalogue-versions';

export interface Learned {
  /** Null where something changed while it was worked out. */
  version: string | null;
  fits: ReadonlyMap<string, LearnedFit>;
}

/** Clinics whose last learning is kept in memory: it follows from the records alone, so that every copy keeps its own. */
const KEPT = 16;
const kept = new Map<string, Learned>();

/**
 * What this clinic's fittings teach of every model's true inside. Makers of whom nothing was fitted are not even read: of a large
 * catalogue these are nearly all.
 */
async function learn({ tx }: Tenant): Promise<Learned['fits']> {
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

/**
 * What was learned of every model, and of which version of catalogue and fittings; worked out once a version. It
 * is looked at before and after: what changed in between belongs to no version.
 */
export async function readFits(tenant: Tenant): Promise<Learned> {
  const { clinicId } = tenant.actor;
  const { learned: version } = await readParts(tenant);
  const before = kept.get(clinicId);
  if (before?.version === version) return before;
  const learned = { version, fits: await learn(tenant) };
  // Of no version: it is good for one answer, and whoever needs it in an order asks again.
  if ((await readParts(tenant)).learned !== version) return { ...learned, version: null };
  kept.delete(clinicId);
  kept.set(clinicId, learned);
  for (const [oldest] of kept) if (kept.size > KEPT) kept.delete(oldest);
  return learned;
}
