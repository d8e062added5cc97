import type { SavedStep } from '@/api/saved-steps';
import type { StepRecord } from '@/api/visit-schema';
import type { Tenant } from '../database/tenant';

/** Every saved step of a visit, with who saved it. */
export async function stepsOf({ tx }: Tenant, visitId: string): Promise<StepRecord[]> {
  const rows = await tx
    .selectFrom('visit_step')
    .leftJoin('auth.user as saver', 'saver.id', 'visit_step.saved_by')
    .select(['step', 'state', 'revision', 'content', 'saver.name as saved_by', 'saved_at'])
    .where('visit_id', '=', visitId)
    .execute();
  return rows.map((row) => ({
    step: row.step as SavedStep,
    state: row.state,
    revision: row.revision,
    content: row.content,
    savedBy: row.saved_by ?? '',
    savedAt: row.saved_at.toISOString(),
  }));
}
