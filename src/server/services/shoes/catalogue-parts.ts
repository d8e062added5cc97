import { createHash } from 'node:crypto';
import { sql } from 'kysely';
import {
  type CatalogueColumns,
  columnsOf,
  type LearnedColumns,
  learnedColumnsOf,
} from '@/core/catalogue/columns';
import { type CatalogueParts, idsOfPart, partBits } from '@/core/catalogue/parts';
import type { Tenant } from '../../database/tenant';
import { Refusal } from '../../http/problem';
import { fitsOf, fittingsVersion } from './learned-fits';
import { MODEL_COLUMNS, modelOf } from './model-rows';

const short = (text: string): string => createHash('sha256').update(text).digest('hex').slice(0, 16);
/** Numbers of revisions only rise: whatever is changed, added or gone, count and sum are never again what they were. */
const versionOf = (bits: number, part: number, count: number | string, sum: bigint | string): string =>
  short(`${bits} ${part} ${count} ${sum}`);
const changedMeanwhile = () => new Refusal(409, 'The catalogue has changed meanwhile. Read it again.');

/** Which parts there are; counts and sums are read from one index. */
export async function readParts(tenant: Tenant): Promise<CatalogueParts> {
  const { tx } = tenant;
  const { rows: counted } = await sql<{
    models: number;
  }>`select count(*)::integer as models from shoe_model`.execute(tx);
  const models = counted[0]?.models ?? 0;
  const bits = partBits(models);
  const { rows } = await sql<{ part: number; count: string; sum: string }>`
    select get_byte(uuid_send(id), 0) >> ${8 - bits}::integer as part, count(*), sum(revision)
    from shoe_model group by 1 order by 1`.execute(tx);
  const parts = rows.map(({ part, count, sum }) => ({ part, version: versionOf(bits, part, count, sum) }));
  const labels = parts.map(({ version }) => version).join(' ');
  return { bits, models, parts, learned: short(`${labels} ${await fittingsVersion(tenant)}`) };
}

/** One part by columns, if it is still that version. */
export async function readPart(
  tenant: Tenant,
  { bits, part, version }: { bits: number; part: number; version: string },
): Promise<CatalogueColumns> {
  const { from, to } = idsOfPart(bits, part);
  const rows = await tenant.tx
    .selectFrom('shoe_model')
    .select(['id', 'revision', ...MODEL_COLUMNS])
    .where('id', '>=', from)
    .where('id', '<=', to)
    .execute();
  const revisions = rows.map(({ revision }) => BigInt(revision));
  const sum = revisions.reduce((all, one) => all + one, 0n);
  if (versionOf(bits, part, rows.length, sum) !== version) throw changedMeanwhile();
  return columnsOf(rows.map(modelOf));
}

/** What fittings taught of every model, if it is still that version. */
export async function readLearned(tenant: Tenant, version: string): Promise<LearnedColumns> {
  const { learned } = await readParts(tenant);
  if (learned !== version) throw changedMeanwhile();
  const fits = await fitsOf(tenant, version);
  return learnedColumnsOf([...fits.keys()], fits);
}
