import type { Selectable } from 'kysely';
import { dayOf } from '@/core/calendar/days';
import { omitUndefined } from '@/core/tables/omit-undefined';
import type { VisitContents } from '@/core/visit/contents';
import type { InspectionContent } from '@/core/wear/worn-schema';
import type { Database } from '../../database/schema';
import type { Tenant } from '../../database/tenant';
import { refreshForecasts } from './forecasts';

/**
 * When a visit ends: what it saw of pairs that this clinic handed over is an inspection of theirs, so that nothing is looked at
 * and typed twice.
 */
export async function keepLooksOfVisit(
  tenant: Tenant,
  visit: Pick<Selectable<Database['visit']>, 'patient_id' | 'started_at'>,
  contents: VisitContents,
): Promise<void> {
  const { tx, actor } = tenant;
  const brought = contents['old-pair']?.pairs ?? [];
  const seen = brought.flatMap(({ pair, signs, wear, midsole, soleMarks }) =>
    pair && (signs || wear || midsole || soleMarks)
      ? [{ pair, content: omitUndefined<InspectionContent>({ signs, wear, midsole, soleMarks }) }]
      : [],
  );
  if (seen.length === 0) return;
  const on = dayOf(visit.started_at);
  const own = await tx
    .selectFrom('pair')
    .select('id')
    .where('patient_id', '=', visit.patient_id)
    .where('started_on', '<=', on)
    .execute();
  const known = new Set(own.map(({ id }) => id));
  const rows = seen.filter(({ pair }) => known.has(pair));
  if (rows.length === 0) return;
  await tx
    .insertInto('inspection')
    .values(
      rows.map(({ pair, content }) => ({
        clinic_id: actor.clinicId,
        pair_id: pair,
        inspected_on: on,
        content: JSON.stringify(content),
        made_by: actor.userId,
      })),
    )
    .execute();
  await refreshForecasts(tenant, { patientId: visit.patient_id });
}
