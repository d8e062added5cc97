import { sql } from 'kysely';
import { type CatalogueEntry, entryKey } from '@/core/catalogue/catalogue-entry';
import { FEATURE_IDS } from '@/core/shoe/features';
import { type FeatureReadings, featuresOf, withReading } from '@/core/shoe/readings/readings';
import type { Tenant } from '../../database/tenant';

/** Readings of a file over those that stand: per source the later one wins, what a file does not say stays. */
function mergedReadings(before: FeatureReadings, coming: FeatureReadings): FeatureReadings {
  let readings = before;
  for (const feature of FEATURE_IDS)
    for (const reading of coming[feature] ?? []) readings = withReading(readings, feature, reading);
  return readings;
}

/**
 * Identifiers of the models that are there by what names them: looked up once, not once a batch. Others who would store
 * wait until this transaction ends, so that two imports merge what they say.
 */
export async function knownModels({ tx, actor }: Tenant): Promise<Map<string, string>> {
  await sql`select pg_advisory_xact_lock(hashtext(${`catalogue ${actor.clinicId}`}))`.execute(tx);
  const rows = await tx.selectFrom('shoe_model').select(['id', 'maker', 'name', 'version']).execute();
  return new Map(rows.map((row) => [entryKey(row), row.id]));
}

/** Puts entries into the catalogue: new ones are added, known ones changed. One statement a batch, in the caller's transaction. */
export async function storeEntries(
  { tx, actor }: Tenant,
  entries: readonly CatalogueEntry[],
  models: ReadonlyMap<string, string>,
): Promise<{ added: number; changed: number }> {
  const ids = entries.flatMap((entry) => models.get(entryKey(entry)) ?? []);
  const rows =
    ids.length === 0
      ? []
      : await tx
          .selectFrom('shoe_model')
          .select(['id', 'maker', 'name', 'version', 'readings', 'stock', 'boxes', 'price', 'status'])
          .where('id', 'in', ids)
          .execute();
  const known = new Map(rows.map((row) => [entryKey(row), row]));
  const values = entries.map((entry) => {
    const before = known.get(entryKey(entry));
    const readings = mergedReadings(before?.readings ?? {}, entry.readings);
    return {
      clinic_id: actor.clinicId,
      maker: entry.maker,
      name: entry.name,
      version: entry.version,
      readings: JSON.stringify(readings),
      features: JSON.stringify(featuresOf(readings)),
      sizing: JSON.stringify(entry.sizing),
      // What the entry does not say stays as it is.
      stock: JSON.stringify(entry.stock ?? before?.stock ?? {}),
      boxes: JSON.stringify({ ...before?.boxes, ...entry.boxes }),
      price: entry.price ?? before?.price ?? null,
      status: entry.status ?? before?.status ?? 'current',
      replaces: null,
    };
  });
  await tx
    .insertInto('shoe_model')
    .values(values)
    .onConflict((conflict) =>
      conflict.expression(sql`clinic_id, lower(maker), lower(name), lower(version)`).doUpdateSet((is) => ({
        readings: is.ref('excluded.readings'),
        features: is.ref('excluded.features'),
        sizing: is.ref('excluded.sizing'),
        stock: is.ref('excluded.stock'),
        boxes: is.ref('excluded.boxes'),
        price: is.ref('excluded.price'),
        status: is.ref('excluded.status'),
        updated_at: sql`now()`,
      })),
    )
    .execute();
  return { added: entries.length - rows.length, changed: rows.length };
}

/** The identifier of one model by maker, name and version, whatever the capitals. */
export async function modelNamed(
  { tx }: Tenant,
  { maker, name, version }: Pick<CatalogueEntry, 'maker' | 'name' | 'version'>,
): Promise<string | null> {
  const row = await tx
    .selectFrom('shoe_model')
    .select('id')
    .where(sql`lower(maker)`, '=', maker.toLowerCase())
    .where(sql`lower(name)`, '=', name.toLowerCase())
    .where(sql`lower(version)`, '=', version.toLowerCase())
    .executeTakeFirst();
  return row?.id ?? null;
}

/** Ties versions to their forerunners once all of them are there; a forerunner that nobody knows is named. */
export async function tieForerunners(
  tenant: Tenant,
  replaced: readonly Pick<CatalogueEntry, 'maker' | 'name' | 'version' | 'replaces'>[],
): Promise<string[]> {
  const unknown: string[] = [];
  for (const entry of replaced) {
    if (entry.replaces === null || entry.replaces.toLowerCase() === entry.version.toLowerCase()) continue;
    const forerunner = await modelNamed(tenant, { ...entry, version: entry.replaces });
    const model = await modelNamed(tenant, entry);
    if (!forerunner) unknown.push(`${entry.maker} ${entry.name} ${entry.replaces}`);
    else if (model)
      await tenant.tx
        .updateTable('shoe_model')
        .set({ replaces: forerunner })
        .where('id', '=', model)
        .execute();
  }
  return unknown;
}
