import { sql } from 'kysely';
import type { z } from 'zod';
import type { WeekRecord, weekSchema } from '@/contract/answers/pairs';
import type { PairRecord } from '@/contract/records';
import { modelTitle } from '@/core/catalogue/model';
import { planWeek } from '@/core/wear/rotation/plan';
import { isOnlyRaced, usualWeek } from '@/core/wear/rotation/usual-week';
import { type PairToPlan, weeklyOf, withRacesLeft } from '@/core/wear/rotation/week';
import { audit, type Tenant } from '../../database/tenant';
import { today } from '../clock';
import { refreshForecasts } from './forecasts';
import { pairsOfPatient } from './pair-records';

const toPlan = ({ id, model, forecast }: PairRecord): PairToPlan => ({
  id,
  features: model.features,
  used: forecast.used ?? 0,
  life: forecast.life.q50,
});

/**
 * A patient's week: outings, pairs in use, and which goes to which. One that nobody saved is ours, to begin with.
 *
 * @param known the patient's pairs, where they have just been read
 */
export async function readWeek(
  tenant: Tenant,
  patientId: string,
  known?: readonly PairRecord[],
): Promise<WeekRecord> {
  const pairs = (known ?? (await pairsOfPatient(tenant, patientId))).filter(
    ({ endedOn }) => endedOn === null,
  );
  const saved = await tenant.tx
    .selectFrom('week_plan')
    .select(['sessions', 'settled'])
    .where('patient_id', '=', patientId)
    .executeTakeFirst();
  const planned = pairs.map(toPlan);
  const sessions = [
    ...(saved?.sessions ??
      usualWeek(pairs.map(({ model, forecast }) => ({ features: model.features, weekly: forecast.weekly })))),
  ];
  const inUse = new Set(pairs.map(({ id }) => id));
  // A pair that was retired since gives its outings back.
  const settled = Object.fromEntries(
    Object.entries(saved?.settled ?? {}).filter(([, pair]) => inUse.has(pair)),
  );
  return {
    isSaved: saved !== undefined,
    sessions,
    settled,
    pairs: pairs.map((pair, at) => ({
      ...planned[at]!,
      title: modelTitle(pair.model),
      clock: pair.forecast.life.clock,
      startedOn: pair.startedOn,
      window: pair.window,
      isOverdue: pair.forecast.state === 'overdue',
    })),
  };
}

/** Keeps a patient's week; every pair has its own weekly use from it, and the windows follow. */
export async function saveWeek(
  tenant: Tenant,
  patientId: string,
  { sessions, settled }: z.infer<typeof weekSchema>,
): Promise<WeekRecord> {
  const { tx, actor } = tenant;
  const pairs = (await pairsOfPatient(tenant, patientId)).filter(({ endedOn }) => endedOn === null);
  const { assignment } = planWeek(sessions, withRacesLeft(pairs.map(toPlan), sessions), settled);
  const weekly = weeklyOf(sessions, assignment);
  const values = {
    sessions: JSON.stringify(sessions),
    settled: JSON.stringify(settled),
    saved_by: actor.userId,
  };
  await tx
    .insertInto('week_plan')
    .values({ clinic_id: actor.clinicId, patient_id: patientId, ...values })
    .onConflict((conflict) =>
      conflict.columns(['clinic_id', 'patient_id']).doUpdateSet({ ...values, saved_at: sql`now()` }),
    )
    .execute();
  for (const { id } of pairs)
    await tx
      .updateTable('pair')
      .set({
        planned_weekly: weekly.get(id) ?? 0,
        raced_only: isOnlyRaced(id, sessions, assignment),
      })
      .where('id', '=', id)
      .execute();
  await audit(tenant, 'write', 'plan of the week', patientId);
  await refreshForecasts(tenant, { patientId }, today());
  return readWeek(tenant, patientId);
}
