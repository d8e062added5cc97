import { createHash } from 'node:crypto';
import { sql } from 'kysely';
import { type CatalogueParts, partBits } from '@/core/catalogue/parts';
import type { Tenant } from '../../database/tenant';

const short = (text: string): string => createHash('sha256').update(text).digest('hex').slice(0, 16);
/** Of the same content the same, whenever and wherever it is read: numbers of what models hold, in any order. */
export const versionOf = (bits: number, part: number, count: number | string, sum: bigint | string): string =>
  short(`${bits} ${part} ${count} ${sum}`);

/** Moves with every fitting that is added, taken back or written anew. */
async function fittingsVersion({ tx }: Tenant): Promise<string> {
  const { rows } = await sql<{ version: string }>`
    select concat(count(*), ' ', extract(epoch from max(fitted_at))) as version from fitting`.execute(tx);
  return rows[0]?.version ?? '';
}

/** Which parts there are; counts and sums are read from one index. */
export async function readParts(tenant: Tenant): Promise<CatalogueParts> {
  const { tx } = tenant;
  const { rows: counted } = await sql<{
    models: number;
  }>`select count(*)::integer as models from shoe_model`.execute(tx);
  const models = counted[0]?.models ?? 0;
  const bits = partBits(models);
  const { rows } = await sql<{ part: number; count: string; sum: string }>`
    select get_byte(uuid_send(id), 0) >> ${8 - bits}::integer as part, count(*), sum(digest)
    from shoe_model group by 1 order by 1`.execute(tx);
  const parts = rows.map(({ part, count, sum }) => ({ part, version: versionOf(bits, part, count, sum) }));
  const labels = parts.map(({ version }) => version).join(' ');
  return { bits, models, parts, learned: short(`${labels} ${await fittingsVersion(tenant)}`) };
}
