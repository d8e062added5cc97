import type { Selectable } from 'kysely';
import { type StepRecord, stepRecord } from '@/core/visit/contents';
import type { Database } from '../../database/schema';
import type { Tenant } from '../../database/tenant';

type StepRow = Pick<
  Selectable<Database['visit_step']>,
  'step' | 'state' | 'revision' | 'content' | 'saved_at'
> & { saved_by: string | null };

/** A stored step under the type of its own content. */
export const recordOf = (row: StepRow): StepRecord =>
  stepRecord(
    {
      step: row.step,
      state: row.state,
      revision: row.revision,
      savedBy: row.saved_by ?? '',
      savedAt: row.saved_at.toISOString(),
    },
    row.content,
  );

/** Every saved step of a visit, with who saved it. */
export async function stepsOf({ tx }: Tenant, visitId: string): Promise<StepRecord[]> {
  const rows = await tx
    .selectFrom('visit_step')
    .leftJoin('auth.user as saver', 'saver.id', 'visit_step.saved_by')
    .select(['step', 'state', 'revision', 'content', 'saver.name as saved_by', 'saved_at'])
    .where('visit_id', '=', visitId)
    .execute();
  return rows.map(recordOf);
}
