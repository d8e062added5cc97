import {
  type CatalogueColumns,
  columnsOf,
  type LearnedColumns,
  learnedColumnsOf,
} from '@/core/catalogue/columns';
import { idsOfPart } from '@/core/catalogue/parts';
import type { Tenant } from '../../database/tenant';
import { Refusal } from '../../http/problem';
import { versionOf } from './catalogue-versions';
import { readFits } from './learned-fits';
import { MODEL_COLUMNS, modelOf } from './model-rows';

const changedMeanwhile = () => new Refusal(409, 'The catalogue has changed meanwhile. Read it again.');

/** One part by columns, if it is still that version. */
export async function readPart(
  tenant: Tenant,
  { bits, part, version }: { bits: number; part: number; version: string },
): Promise<CatalogueColumns> {
  const { from, to } = idsOfPart(bits, part);
  const rows = await tenant.tx
    .selectFrom('shoe_model')
    .select(['id', 'digest', ...MODEL_COLUMNS])
    .where('id', '>=', from)
    .where('id', '<=', to)
    .execute();
  const sum = rows.reduce((all, { digest }) => all + BigInt(digest), 0n);
  if (versionOf(bits, part, rows.length, sum) !== version) throw changedMeanwhile();
  return columnsOf(rows.map(modelOf));
}

/**
 * What fittings taught of every model, if it is still that version: it goes out in the order of the parts, so that it has to be of the
 * very same models.
 */
export async function readLearned(tenant: Tenant, version: string): Promise<LearnedColumns> {
  const learned = await readFits(tenant);
  if (learned.version !== version) throw changedMeanwhile();
  return learnedColumnsOf([...learned.ids], learned.fits);
}
