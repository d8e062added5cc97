import type { z } from 'zod';
import type { inspectionSchema } from '@/contract/pairs';
import { CLOCK_OF_USE, type Clock, madeForUse } from '@/core/wear/clocks';
import { isWorthKeeping } from '@/core/wear/inspection';
import { audit, type Tenant } from '../../database/tenant';
import { refusedAt } from '../../http/problem';
import { refreshForecasts } from './forecasts';
import { checkDay, pairDays } from './pair-days';
import { logPair } from './pair-log';

async function clockOf({ tx }: Tenant, pairId: string): Promise<Clock> {
  const { features } = await tx
    .selectFrom('pair')
    .innerJoin('shoe_model', (join) =>
      join.onRef('shoe_model.id', '=', 'pair.model_id').onRef('shoe_model.clinic_id', '=', 'pair.clinic_id'),
    )
    .select('features')
    .where('pair.id', '=', pairId)
    .executeTakeFirstOrThrow();
  return CLOCK_OF_USE[madeForUse(features)];
}

/** Keeps what an inspection saw, with how much the pair was used since; its window follows at once. */
export async function inspectPair(
  tenant: Tenant,
  pairId: string,
  { on, since, ...content }: z.infer<typeof inspectionSchema>,
): Promise<{ id: string }> {
  const pair = await pairDays(tenant, pairId);
  checkDay(on, pair);
  if (!isWorthKeeping(content) && since == null)
    throw refusedAt('signs', 'Nothing was looked at yet: answer a sign, grade a zone or write a note.');
  if (since != null)
    await logPair(tenant, pairId, {
      on,
      ...((await clockOf(tenant, pairId)) === 'km' ? { distanceKm: since } : { amount: since }),
    });
  await audit(tenant, 'write', 'pair inspected', pair.patient_id);
  const added = await tenant.tx
    .insertInto('inspection')
    .values({
      clinic_id: tenant.actor.clinicId,
      pair_id: pairId,
      inspected_on: on,
      content: JSON.stringify(content),
      made_by: tenant.actor.userId,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  await refreshForecasts(tenant, { patientId: pair.patient_id });
  return added;
}
