import type { z } from 'zod';
import type { pairLogSchema } from '@/contract/patients-schema';
import type { PairLogEntry, PairRecord } from '@/contract/records';
import { addDays, daysBetween } from '@/core/calendar/days';
import { modelTitle } from '@/core/catalogue/model';
import { versionDifferences } from '@/core/match/version-differences';
import { readChange } from '@/core/outcomes/real-change';
import { wearForecast } from '@/core/wear/forecast';
import type { LifeSchool } from '@/core/wear/life-schools';
import { audit, type Tenant } from '../../database/tenant';
import { notFound, Refusal } from '../../http/problem';
import { laterVersions, MODEL_COLUMNS, modelOf } from '../shoes/models';

export const today = (now = new Date()): string => now.toISOString().slice(0, 10);

export interface PairFilter {
  patientId?: string;
  pairId?: string;
  inUse?: boolean;
}

/** Pairs with their log and replacement window, newest first. */
export async function listPairs(
  tenant: Tenant,
  filter: PairFilter,
  lifeSchool: LifeSchool,
  on = today(),
): Promise<(PairRecord & { patientId: string })[]> {
  const { tx } = tenant;
  let query = tx
    .selectFrom('pair')
    .innerJoin('shoe_model', (join) =>
      join.onRef('shoe_model.id', '=', 'pair.model_id').onRef('shoe_model.clinic_id', '=', 'pair.clinic_id'),
    );
  if (filter.patientId) query = query.where('pair.patient_id', '=', filter.patientId);
  if (filter.pairId) query = query.where('pair.id', '=', filter.pairId);
  if (filter.inUse) query = query.where('pair.ended_on', 'is', null);
  const rows = await query
    .selectAll('pair')
    .select([...MODEL_COLUMNS])
    .orderBy('pair.started_on', 'desc')
    .execute();
  const ids = rows.map((row) => row.id);
  const log =
    ids.length === 0
      ? []
      : await tx
          .selectFrom('pair_log')
          .selectAll()
          .where('pair_id', 'in', ids)
          .orderBy('logged_on')
          .execute();
  const later = await laterVersions(
    tenant,
    rows.map((row) => row.model_id),
  );
  const byPair = new Map<string, typeof log>();
  for (const entry of log) byPair.set(entry.pair_id, [...(byPair.get(entry.pair_id) ?? []), entry]);
  return rows.map((row) => {
    const entries = (byPair.get(row.id) ?? []).map(
      (entry): PairLogEntry => ({
        id: entry.id,
        on: entry.logged_on,
        distanceKm: entry.distance_km,
        comfort: entry.comfort,
        note: entry.note,
      }),
    );
    const forecast = wearForecast({
      school: lifeSchool,
      racing: row.racing,
      bodyMassKg: row.body_mass_kg,
      surface: row.surface,
      ageDays: Math.max(0, daysBetween(row.started_on, row.ended_on ?? on)),
      log: entries
        .filter((entry) => entry.distanceKm !== null)
        .map((entry) => ({ day: daysBetween(row.started_on, entry.on), distanceKm: entry.distanceKm! })),
      expectedWeeklyKm: row.expected_weekly_km,
    });
    const model = modelOf({ ...row, id: row.model_id });
    const successor = later.get(model.id);
    return {
      id: row.id,
      patientId: row.patient_id,
      model,
      modifications: [...row.modifications],
      successor: successor
        ? {
            id: successor.id,
            title: modelTitle(successor),
            differs: versionDifferences(model, successor),
          }
        : null,
      sizeLeft: row.size_left,
      sizeRight: row.size_right,
      startedOn: row.started_on,
      endedOn: row.ended_on,
      surface: row.surface,
      log: entries,
      forecast,
      window: {
        from: addDays(row.started_on, forecast.windowDays.q10),
        middle: addDays(row.started_on, forecast.windowDays.q50),
        to: addDays(row.started_on, forecast.windowDays.q90),
        startNextOn: addDays(row.started_on, forecast.startNextDay),
      },
      comfort: comfortReading(entries),
    };
  });
}

function comfortReading(entries: readonly PairLogEntry[]): PairRecord['comfort'] {
  const rated = entries.filter((entry) => entry.comfort !== null);
  if (rated.length < 2) return null;
  const baseline = rated[0]!.comfort!;
  const now = rated.at(-1)!.comfort!;
  return { baseline, now, reading: readChange(baseline, now) };
}

async function patientOfPair(
  { tx }: Tenant,
  pairId: string,
): Promise<{ patient_id: string; started_on: string; ended_on: string | null }> {
  const row = await tx
    .selectFrom('pair')
    .select(['patient_id', 'started_on', 'ended_on'])
    .where('id', '=', pairId)
    .executeTakeFirst();
  if (!row) throw notFound('This pair');
  return row;
}

const refuse = (path: string, message: string): Refusal =>
  new Refusal(422, 'Some values cannot be accepted.', { errors: [{ path: [path], message }] });

/** A day in the life of a pair: not before its first, not ahead. Tomorrow is somebody's today in another time zone. */
function checkDay(on: string, startedOn: string): void {
  if (on < startedOn) throw refuse('on', `The pair was first used on ${startedOn}.`);
  if (on > addDays(today(), 1)) throw refuse('on', 'This day lies ahead.');
}

/** Adds a distance, a comfort or both to a pair's log. */
export async function logPair(
  tenant: Tenant,
  pairId: string,
  entry: z.infer<typeof pairLogSchema>,
): Promise<{ id: string }> {
  const pair = await patientOfPair(tenant, pairId);
  checkDay(entry.on, pair.started_on);
  if (pair.ended_on && entry.on > pair.ended_on)
    throw refuse('on', `The pair was retired on ${pair.ended_on}.`);
  if (entry.distanceKm == null && entry.comfort == null && !entry.note?.trim())
    throw refuse('distanceKm', 'Enter a distance, a comfort or a note.');
  await audit(tenant, 'write', 'pair log', pair.patient_id);
  return tenant.tx
    .insertInto('pair_log')
    .values({
      clinic_id: tenant.actor.clinicId,
      pair_id: pairId,
      logged_on: entry.on,
      distance_km: entry.distanceKm ?? null,
      comfort: entry.comfort ?? null,
      note: entry.note ?? '',
      logged_by: tenant.actor.userId,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
}

/** Takes a pair out of use. */
export async function endPair(tenant: Tenant, pairId: string, on: string): Promise<{ endedOn: string }> {
  const pair = await patientOfPair(tenant, pairId);
  checkDay(on, pair.started_on);
  await tenant.tx.updateTable('pair').set({ ended_on: on }).where('id', '=', pairId).execute();
  await audit(tenant, 'write', 'pair retired', pair.patient_id);
  return { endedOn: on };
}
