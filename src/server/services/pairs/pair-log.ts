import type { z } from 'zod';
import type { pairLogSchema } from '@/contract/patients-schema';
import type { RetiredBecause } from '@/core/wear/retired';
import { audit, type Tenant } from '../../database/tenant';
import { refusedAt } from '../../http/problem';
import { refreshForecasts } from './forecasts';
import { addToOutcome } from './outcomes';
import { checkDay, pairDays } from './pair-days';
import { lifeIsStale } from './stale';

/** Adds a distance, a comfort or both to a pair's log. */
export async function logPair(
  tenant: Tenant,
  pairId: string,
  entry: z.infer<typeof pairLogSchema>,
): Promise<{ id: string }> {
  const pair = await pairDays(tenant, pairId);
  checkDay(entry.on, pair);
  if (entry.distanceKm == null && entry.amount == null && entry.comfort == null && !entry.note?.trim())
    throw refusedAt('distanceKm', 'Enter how much it was used, a comfort or a note.');
  await audit(tenant, 'write', 'pair log', pair.patient_id);
  const added = await tenant.tx
    .insertInto('pair_log')
    .values({
      clinic_id: tenant.actor.clinicId,
      pair_id: pairId,
      logged_on: entry.on,
      distance_km: entry.distanceKm ?? null,
      amount: entry.amount ?? null,
      comfort: entry.comfort ?? null,
      note: entry.note ?? '',
      logged_by: tenant.actor.userId,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  // Comfort is an outcome of the pair, wherever it was written down.
  if (entry.comfort != null) await addToOutcome(tenant, pairId, entry.on, { comfort: entry.comfort });
  await refreshForecasts(tenant, { patientId: pair.patient_id });
  return added;
}

/** Takes a pair out of use: what was worn out teaches how long such pairs last, and the patient's other pairs share the week anew. */
export async function endPair(
  tenant: Tenant,
  pairId: string,
  { on, because }: { on: string; because: RetiredBecause },
): Promise<{ endedOn: string }> {
  const pair = await pairDays(tenant, pairId);
  checkDay(on, pair);
  await tenant.tx
    .updateTable('pair')
    .set({ ended_on: on, ended_because: because })
    .where('id', '=', pairId)
    .execute();
  await audit(tenant, 'write', 'pair retired', pair.patient_id);
  await refreshForecasts(tenant, { patientId: pair.patient_id });
  await lifeIsStale(tenant);
  return { endedOn: on };
}
