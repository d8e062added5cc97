import { sql } from 'kysely';
import type { SwellingReading } from '@/core/swelling/course';
import type { Tenant } from '../../database/tenant';
import { withFolded } from '../patients/duplicates';

/** Girths that are read at most, the newest. */
const MOST = 400;

/** Girths that were taken at home, oldest first: readings as a visit takes them, each of one place. */
export async function girthsFromHome(tenant: Tenant, patientId: string): Promise<SwellingReading[]> {
  const rows = await tenant.tx
    .selectFrom('home_report')
    .select('content')
    .where('patient_id', 'in', await withFolded(tenant, patientId))
    .where(sql`content #>> '{content,kind}'`, '=', 'girth')
    .orderBy('said_on', 'desc')
    .orderBy('received_at', 'desc')
    .limit(MOST)
    .execute();
  return rows
    .flatMap(({ content: { at, content } }) =>
      content.kind === 'girth' ? [{ at, [content.side]: { [content.measure]: content.mm } }] : [],
    )
    .toReversed();
}
