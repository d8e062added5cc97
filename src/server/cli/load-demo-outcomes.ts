import type { Transaction } from 'kysely';
import type { AtRiskCategory } from '@/core/examination/at-risk-category';
import { outcomesDue } from '@/core/outcomes/schedule';
import type { Measures } from '@/core/outcomes/schema';
import type { Database } from '../database/schema';

/** What was measured of a demo pair, and when it is due next. */
export async function addOutcomes(
  tx: Transaction<Database>,
  pair: { clinic_id: string; id: string; startedOn: string; category: AtRiskCategory | null },
  taken: readonly { on: string; measures: Measures }[],
  by: string,
): Promise<void> {
  if (taken.length > 0)
    await tx
      .insertInto('outcome')
      .values(
        taken.map(({ on, measures }) => ({
          clinic_id: pair.clinic_id,
          pair_id: pair.id,
          taken_on: on,
          measures: JSON.stringify(measures),
          made_by: by,
        })),
      )
      .execute();
  const { on } = outcomesDue(
    pair.startedOn,
    pair.category,
    taken.map((entry) => entry.on),
  );
  await tx.updateTable('pair').set({ outcomes_due_on: on }).where('id', '=', pair.id).execute();
}
