import { sql } from 'kysely';
import type { z } from 'zod';
import type { ModelRecord } from '@/contract/records';
import type { benchTestSchema, modelChangeSchema } from '@/contract/shoes';
import { READ_OF_OTHERS } from '@/core/aftercare/among';
import type { CatalogueEntry } from '@/core/catalogue/catalogue-entry';
import { type ShoeModel, type Stock, stockKey } from '@/core/catalogue/model';
import type { CatalogueStart } from '@/core/catalogue/parts';
import type { ShelfPlace } from '@/core/catalogue/shelf';
import { benchChanges, readBench } from '@/core/shoe/bench/read-bench';
import { type FeatureValues, isFeatureId } from '@/core/shoe/features';
import { type FeatureReadings, featuresOf, withReading } from '@/core/shoe/readings/readings';
import { type LearnedFits, withLearned } from '@/core/sizing/learned/learned-fit';
import { madeForUse } from '@/core/wear/clocks';
import { requirePart } from '../../auth/require-part';
import type { Tenant } from '../../database/tenant';
import { notFound, Refusal, refusedAt } from '../../http/problem';
import { today } from '../clock';
import { readClinic } from '../people/clinic';
import { readFits } from './learned-fits';
import { MODEL_COLUMNS, modelOf } from './model-rows';

const withLearnedFit = (model: ShoeModel, fits: LearnedFits): ShoeModel => {
  const learned = fits.get(model.id);
  return learned ? { ...model, sizing: withLearned(model.sizing, learned), learned } : model;
};

/** Models by maker, name and version, letter by letter as the browser sorts them. */
const statedModels = ({ tx }: Tenant) =>
  tx
    .selectFrom('shoe_model')
    .select(['id', ...MODEL_COLUMNS])
    .orderBy(sql`maker collate "C"`)
    .orderBy(sql`name collate "C"`)
    .orderBy(sql`version collate "C"`);

/** Models as they are stated, with what was learned of each. */
async function withFits(tenant: Tenant, rows: ReturnType<typeof statedModels>): Promise<ShoeModel[]> {
  const models = await rows.execute();
  const { fits } = await readFits(tenant);
  return models.map((row) => withLearnedFit(modelOf(row), fits));
}

/** The catalogue, by maker and name, with what was learned. */
export const listModels = (tenant: Tenant): Promise<ShoeModel[]> => withFits(tenant, statedModels(tenant));

/** Models that a page shows at first. */
const SEEN_AT_FIRST = 24;

/** What the catalogue’s list opens with: as much work with fifty thousand models as with two hundred. */
export async function startOfCatalogue(tenant: Tenant): Promise<CatalogueStart> {
  const { rows } = await sql<{ models: number; current: number }>`
    select count(*)::integer as models, count(*) filter (where status = 'current')::integer as current from shoe_model`.execute(
    tenant.tx,
  );
  // What fittings taught follows with the rest.
  const first = await statedModels(tenant).where('status', '=', 'current').limit(SEEN_AT_FIRST).execute();
  return { first: first.map(modelOf), models: rows[0]?.models ?? 0, current: rows[0]?.current ?? 0 };
}

/** The models with these identifiers, as far as there are such. */
export const modelsNamed = (tenant: Tenant, ids: readonly string[]): Promise<ShoeModel[]> =>
  ids.length === 0 ? Promise.resolve([]) : withFits(tenant, statedModels(tenant).where('id', 'in', ids));

/** As many shoes of a shelf as a picture of it is drawn from. */
const BESIDE = 400;

/** What the shoes of the same use are that stand beside one on the shelf. */
export async function shoesBeside(tenant: Tenant, { id, features }: ShoeModel): Promise<FeatureValues[]> {
  const rows = await statedModels(tenant)
    .clearSelect()
    .select(
      sql<FeatureValues>`jsonb_strip_nulls(jsonb_build_object(${sql.join(
        READ_OF_OTHERS.map((feature) => sql`${sql.lit(feature)}, features -> ${sql.lit(feature)}`),
      )}))`.as('features'),
    )
    .where('id', '<>', id)
    .where('status', '=', 'current')
    .where(sql<boolean>`coalesce(features ->> 'use', 'everyday') = ${madeForUse(features)}`)
    .limit(BESIDE)
    .execute();
  return rows.map((row) => row.features);
}

/** All versions of one model. */
const versionsOf = (tenant: Tenant, maker: string, name: string): Promise<ShoeModel[]> =>
  withFits(tenant, statedModels(tenant).where('maker', '=', maker).where('name', '=', name));

const rowOf = ({ tx }: Tenant, id: string) => tx.selectFrom('shoe_model').selectAll().where('id', '=', id);

async function modelRow(tenant: Tenant, id: string) {
  const row = await rowOf(tenant, id).executeTakeFirst();
  if (!row) throw notFound('This model');
  return row;
}

/**
 * A model's row held until the end of the transaction: two changes at once follow each other. Pairs and fittings that
 * point at it do not wait, and nothing that waits for them can wait for us.
 */
async function modelToChange(tenant: Tenant, id: string) {
  const row = await rowOf(tenant, id).forNoKeyUpdate().executeTakeFirst();
  if (!row) throw notFound('This model');
  return row;
}

/** One model with every value's source, its versions, its bench tests, who wears it, and what changed. */
export async function readModel(tenant: Tenant, id: string): Promise<ModelRecord> {
  const { tx } = tenant;
  const row = await modelRow(tenant, id);
  const family = await versionsOf(tenant, row.maker, row.name);
  const wearers = await tx
    .selectFrom('pair')
    .innerJoin('patient', 'patient.id', 'pair.patient_id')
    .select(['patient.id', 'given_name', 'family_name', 'pair.started_on', 'pair.model_id'])
    .where(
      'pair.model_id',
      'in',
      family.map((model) => model.id),
    )
    .where('pair.ended_on', 'is', null)
    .orderBy('family_name')
    .execute();
  const tests = await tx
    .selectFrom('bench_test')
    .leftJoin('auth.user as tester', 'tester.id', 'bench_test.done_by')
    .select(['bench_test.id', 'answers', 'tester.name', 'done_at'])
    .where('model_id', '=', id)
    .orderBy('done_at', 'desc')
    .limit(20)
    .execute();
  const changes = await tx
    .selectFrom('catalogue_change')
    .leftJoin('auth.user as maker_of', 'maker_of.id', 'catalogue_change.made_by')
    .select(['what', 'maker_of.name', 'made_at'])
    .where('model_id', '=', id)
    .orderBy('catalogue_change.id', 'desc')
    .limit(30)
    .execute();
  return {
    model: family.find((model) => model.id === id)!,
    readings: row.readings,
    versions: family,
    wearers: wearers.map((wearer) => ({
      patientId: wearer.id,
      name: `${wearer.given_name} ${wearer.family_name}`,
      since: wearer.started_on,
      modelId: wearer.model_id,
    })),
    benchTests: tests.map((test) => ({
      id: test.id,
      answers: test.answers,
      by: test.name ?? '',
      at: test.done_at.toISOString(),
    })),
    changes: changes.map((change) => ({
      what: change.what,
      by: change.name ?? '',
      at: change.made_at.toISOString(),
    })),
  };
}

/** What a page about one model shows. */
export const modelPage = async (tenant: Tenant, id: string) => ({
  clinic: await readClinic(tenant),
  record: await readModel(tenant, id),
});

export async function noteChange(
  { tx, actor }: Tenant,
  kind: 'import' | 'supplier' | 'bench',
  what: string,
  modelId: string | null,
): Promise<void> {
  await tx
    .insertInto('catalogue_change')
    .values({ clinic_id: actor.clinicId, model_id: modelId, kind, what, made_by: actor.userId })
    .execute();
}

/** Counts the shelf, changes price or status. */
export async function changeModel(
  tenant: Tenant,
  id: string,
  change: z.infer<typeof modelChangeSchema>,
): Promise<ModelRecord> {
  const row = await modelToChange(tenant, id);
  const isPriced = change.price !== undefined && change.price !== row.price;
  if (isPriced || (change.status !== undefined && change.status !== row.status))
    requirePart(tenant.actor, 'priceOrDiscontinue');
  const wrong = Object.keys(change.stock ?? {}).find((key) => {
    const [size, width] = key.split(' ');
    return !row.sizing.sizes.includes(Number(size)) || !row.sizing.widths.some((letter) => letter === width);
  });
  if (wrong !== undefined)
    throw new Refusal(422, 'Some values cannot be accepted.', {
      errors: [{ path: ['stock', wrong], message: `${wrong} is not made.` }],
    });
  const stock = change.stock ? counted({ ...row.stock, ...change.stock }) : row.stock;
  const boxes = {
    ...row.boxes,
    ...(change.batch === undefined ? {} : { batch: change.batch ?? undefined }),
    ...(change.madeOn === undefined ? {} : { madeOn: change.madeOn ?? undefined }),
  };
  if (boxes.madeOn !== undefined && boxes.madeOn > today())
    throw refusedAt('madeOn', 'The day on which they were made is in the future.');
  await tenant.tx
    .updateTable('shoe_model')
    .set({
      stock: JSON.stringify(stock),
      boxes: JSON.stringify(boxes),
      price: change.price === undefined ? row.price : change.price,
      status: change.status ?? row.status,
      updated_at: sql`now()`,
    })
    .where('id', '=', id)
    .execute();
  return readModel(tenant, id);
}

/** Takes one pair off the shelf; a split pair opens two boxes. Nothing happens where none is counted. */
export async function takeFromShelf(
  tenant: Tenant,
  id: string,
  places: readonly ShelfPlace[],
): Promise<void> {
  const keys = new Set(places.map(({ size, width }) => stockKey(size, width)));
  await putOnShelf(tenant, id, Object.fromEntries([...keys].map((key) => [key, -1])));
}

/** Adds pairs to the shelf, or takes some away; never below none. */
export async function putOnShelf(tenant: Tenant, id: string, pairs: Stock): Promise<void> {
  const stock = { ...(await modelToChange(tenant, id)).stock };
  for (const [key, count] of Object.entries(pairs)) stock[key] = (stock[key] ?? 0) + count;
  await tenant.tx
    .updateTable('shoe_model')
    .set({ stock: JSON.stringify(counted(stock)) })
    .where('id', '=', id)
    .execute();
}

/** What is not there is not named. */
const counted = (stock: Stock): Stock =>
  Object.fromEntries(Object.entries(stock).filter(([, count]) => count > 0));

/** Records a bench test: its values count from now on, what the maker says stays beside them. */
export async function recordBenchTest(
  tenant: Tenant,
  id: string,
  { answers }: z.infer<typeof benchTestSchema>,
  today: string,
): Promise<ModelRecord> {
  const row = await modelToChange(tenant, id);
  const { features } = readBench(answers, { pair: 'new' });
  const measured = Object.entries(features).filter(([feature]) => isFeatureId(feature));
  if (measured.length === 0) throw refusedAt('answers', 'Nothing was measured yet: do at least one test.');
  let readings: FeatureReadings = row.readings;
  for (const [feature, value] of measured)
    if (isFeatureId(feature)) readings = withReading(readings, feature, { value, from: 'bench', on: today });
  await tenant.tx
    .insertInto('bench_test')
    .values({
      clinic_id: tenant.actor.clinicId,
      model_id: id,
      answers: JSON.stringify(answers),
      done_by: tenant.actor.userId,
    })
    .execute();
  await saveReadings(tenant, id, readings);
  const differs = benchChanges(features, row.readings).filter(({ kind }) => kind === 'disagrees');
  await noteChange(
    tenant,
    'bench',
    `Bench test: ${measured.length} values${differs.length > 0 ? `; ${differs.map(({ sentence }) => sentence).join(' ')}` : ''}`,
    id,
  );
  return readModel(tenant, id);
}

const saveReadings = ({ tx }: Tenant, id: string, readings: FeatureReadings) =>
  tx
    .updateTable('shoe_model')
    .set({
      readings: JSON.stringify(readings),
      features: JSON.stringify(featuresOf(readings)),
      updated_at: sql`now()`,
    })
    .where('id', '=', id)
    .execute();

/** Every model as a file holds it: what is said of it, without what the clinic has learned. */
export async function catalogueEntries({ tx }: Tenant): Promise<CatalogueEntry[]> {
  const rows = await tx
    .selectFrom('shoe_model')
    .leftJoin('shoe_model as forerunner', (join) =>
      join
        .onRef('forerunner.id', '=', 'shoe_model.replaces')
        .onRef('forerunner.clinic_id', '=', 'shoe_model.clinic_id'),
    )
    .select([
      'shoe_model.maker',
      'shoe_model.name',
      'shoe_model.version',
      'shoe_model.sizing',
      'shoe_model.stock',
      'shoe_model.boxes',
      'shoe_model.price',
      'shoe_model.status',
      'shoe_model.readings',
      'forerunner.version as forerunner',
    ])
    .orderBy('shoe_model.maker')
    .orderBy('shoe_model.name')
    .orderBy('shoe_model.version')
    .execute();
  return rows.map(({ forerunner, ...row }) => ({ ...row, replaces: forerunner }));
}

/** Versions that follow one another further than this are a circle. */
const LONGEST_LINE = 12;

/** For each of these models the latest version that came after it, where there is one. */
export async function laterVersions({ tx }: Tenant, ids: readonly string[]): Promise<Map<string, ShoeModel>> {
  /** The latest found so far → where the line began. */
  let ends = new Map([...new Set(ids)].map((id) => [id, [id]]));
  const latest = new Map<string, ShoeModel>();
  for (let step = 0; step < LONGEST_LINE && ends.size > 0; step += 1) {
    const rows = await tx
      .selectFrom('shoe_model')
      .select(['id', ...MODEL_COLUMNS])
      .where('replaces', 'in', [...ends.keys()])
      .execute();
    const next = new Map<string, string[]>();
    for (const row of rows) {
      const model = modelOf(row);
      const starts = ends.get(row.replaces!)!;
      for (const start of starts) latest.set(start, model);
      next.set(model.id, starts);
    }
    ends = next;
  }
  return latest;
}
