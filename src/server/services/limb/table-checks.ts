import type { TableCheckRecord } from '@/contract/limb';
import { modelTitle } from '@/core/catalogue/model';
import type { TableCheck } from '@/core/prosthesis/limb-record';
import { groupBy } from '@/core/tables/group-by';
import { audit, type Tenant } from '../../database/tenant';
import { notFound } from '../../http/problem';
import { withFolded } from '../patients/duplicates';
import { patientRow } from '../patients/patient-row';

/** Shoes that were looked at on the table, newest first and the latest of each; other versions of a model are named as not checked. */
export async function listTableChecks(tenant: Tenant, patientId: string): Promise<TableCheckRecord[]> {
  const { tx } = tenant;
  const rows = await tx
    .selectFrom('table_check')
    .innerJoin('shoe_model', (join) =>
      join
        .onRef('shoe_model.id', '=', 'table_check.model_id')
        .onRef('shoe_model.clinic_id', '=', 'table_check.clinic_id'),
    )
    .leftJoin('auth.user as maker_of', 'maker_of.id', 'table_check.made_by')
    .select(['table_check.id', 'model_id', 'checked_on', 'decision', 'content', 'maker_of.name as by'])
    .select(['shoe_model.maker', 'shoe_model.name', 'shoe_model.version'])
    .where('patient_id', 'in', await withFolded(tenant, patientId))
    .orderBy('checked_on', 'desc')
    .orderBy('made_at', 'desc')
    .execute();
  const latest = [...groupBy(rows, ({ model_id }) => model_id).values()].map(([first]) => first!);
  const versions = await versionsOf(tenant, latest);
  const checked = new Set(latest.map(({ model_id }) => model_id));
  return latest.map(({ id, model_id, checked_on, decision, content, by, maker, name, version }) => ({
    id,
    model: model_id,
    title: modelTitle({ maker, name, version }),
    on: checked_on,
    by: by ?? '',
    decision,
    ...content,
    unchecked: versions
      .filter((other) => other.maker === maker && other.name === name && !checked.has(other.id))
      .map((other) => ({ id: other.id, title: modelTitle(other) })),
  }));
}

/** Versions of these models that can be had. */
async function versionsOf({ tx }: Tenant, models: readonly { maker: string; name: string }[]) {
  if (models.length === 0) return [];
  return tx
    .selectFrom('shoe_model')
    .select(['id', 'maker', 'name', 'version'])
    .where('status', '=', 'current')
    .where('name', 'in', [...new Set(models.map(({ name }) => name))])
    .orderBy('version')
    .execute();
}

/** Keeps what was seen of a shoe on the table. */
export async function keepTableCheck(tenant: Tenant, patientId: string, check: TableCheck): Promise<null> {
  const { tx, actor } = tenant;
  await patientRow(tenant, patientId);
  const { model, on, decision, ...content } = check;
  const known = await tx.selectFrom('shoe_model').select('id').where('id', '=', model).executeTakeFirst();
  if (!known) throw notFound('This model');
  await tx
    .insertInto('table_check')
    .values({
      clinic_id: actor.clinicId,
      patient_id: patientId,
      model_id: model,
      checked_on: on,
      decision,
      content: JSON.stringify(content),
      made_by: actor.userId,
    })
    .execute();
  await audit(tenant, 'write', 'shoe checked on the table', patientId);
  return null;
}
