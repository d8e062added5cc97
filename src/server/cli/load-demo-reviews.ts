import type { Transaction } from 'kysely';
import { addDays } from '@/core/calendar/days';
import type { Database } from '../database/schema';

/** Weeks after a hand-over at which the demo's pairs were reviewed, and of how many of them one was: invented. */
const REVIEWED_AT_DAYS = 84;
const ONE_OF = 3;

/** Reviews of some of the pairs in use: what was measured on that day stands with them, and the pair was kept. */
export async function addReviews(
  tx: Transaction<Database>,
  clinicId: string,
  by: string,
  day: string,
): Promise<void> {
  const pairs = await tx
    .selectFrom('pair')
    .innerJoin('outcome', (join) =>
      join.onRef('outcome.pair_id', '=', 'pair.id').onRef('outcome.clinic_id', '=', 'pair.clinic_id'),
    )
    .select(['pair.id', 'started_on', 'taken_on', 'measures'])
    .where('ended_on', 'is', null)
    .orderBy('started_on')
    .orderBy('pair.id')
    .execute();
  const reviewed = pairs
    .filter(
      ({ started_on, taken_on }) => taken_on === addDays(started_on, REVIEWED_AT_DAYS) && taken_on <= day,
    )
    .filter((_, at) => at % ONE_OF === 0);
  if (reviewed.length === 0) return;
  await tx
    .insertInto('review')
    .values(
      reviewed.map(({ id, taken_on, measures }) => ({
        clinic_id: clinicId,
        pair_id: id,
        done_on: taken_on,
        decision: 'keep' as const,
        content: JSON.stringify({ changed: [], warnings: [], measures, suggested: 'keep' as const }),
        made_by: by,
      })),
    )
    .execute();
}
