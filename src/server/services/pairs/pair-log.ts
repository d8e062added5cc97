import type { z } from 'zod';
import type { pairLogSchema } from '@/contract/patients-schema';
import { addDays } from '@/core/calendar/days';
import type { RetiredBecause } from '@/core/wear/retired';
import { audit, type Tenant } from '../../database/tenant';
import { notFound, refusedAt } from '../../http/problem';
import { today } from '../clock';
import { refreshForecasts } from './forecasts';
import { lifeIsStale } from './stale';

interface PairDays {
  patient_id: string;
  started_on: string;
  ended_on: string | null;
}

export async function pairDays({ tx }: Tenant, pairId: string): Promise<PairDays> {
  const row = await tx
    .selectFrom('pair')
    .select(['patient_id', 'started_on', 'ended_on'])
    .where('id', '=', pairId)
    .executeTakeFirst();
  if (!row) throw notFound('This pair');
  return row;
}

/** A day in the life of a pair: not before its first, not ahead, not after its last. Tomorrow is somebody's today in another time zone. */
export function checkDay(on: string, { started_on, ended_on }: PairDays, field = 'on'): void {
  if (on < started_on) throw refusedAt(field, `The pair was first used on ${started_on}.`);
  if (on > addDays(today(), 1)) throw refusedAt(field, 'This day lies ahead.');
  if (ended_on && on > ended_on) throw refusedAt(field, `The pair was retired on ${ended_on}.`);
}

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
