import { sql } from 'kysely';
import type { z } from 'zod';
import type { pairLogSchema } from '@/contract/patients-schema';
import type { PairLogEntry, PairRecord } from '@/contract/records';
import { addDays, daysBetween } from '@/core/calendar/days';
import { modelTitle } from '@/core/catalogue/model';
import { versionDifferences } from '@/core/match/version-differences';
import { readChange } from '@/core/outcomes/real-change';
import { CLOCK_OF_USE, madeForUse } from '@/core/wear/clocks';
import { type WearForecast, wearForecast } from '@/core/wear/forecast';
import type { LifeSchool } from '@/core/wear/life-schools';
import type { RetiredBecause } from '@/core/wear/retired';
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
    // A patient's stated distance is shared among the pairs in use, never given to each in full.
    .select(
      sql<number>`greatest(1, (select count(*) from pair as beside where beside.patient_id = pair.patient_id
        and beside.ended_on is null and beside.expected_weekly_km is not null))::int`.as('sharing'),
    )
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
        amount: entry.amount,
        comfort: entry.comfort,
        note: entry.note,
      }),
    );
    const model = modelOf({ ...row, id: row.model_id });
    const use = madeForUse(model.features);
    const inKm = CLOCK_OF_USE[use] === 'km';
    const until = row.ended_on ?? on;
    const forecast = wearForecast({
      school: lifeSchool,
      use,
      racing: row.racing ? 'also-trained' : undefined,
      bodyMassKg: row.body_mass_kg,
      surface: row.surface,
      ageDays: Math.max(0, daysBetween(row.started_on, until)),
      madeDaysAgo: row.made_on === null ? null : Math.max(0, daysBetween(row.made_on, until)),
      log: entries.flatMap((entry) => {
        const amount = inKm ? entry.distanceKm : entry.amount;
        return amount === null ? [] : [{ day: daysBetween(row.started_on, entry.on), amount }];
      }),
      expectedWeekly: inKm
        ? row.expected_weekly_km === null
          ? null
          : row.expected_weekly_km / (row.ended_on === null ? row.sharing : 1)
        : row.weekly_use,
    });
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
      window: windowOf(row.started_on, forecast),
      comfort: comfortReading(entries),
    };
  });
}

/** The window in calendar days; null where nothing can be said. */
function windowOf(startedOn: string, { windowDays, startNextDay }: WearForecast): PairRecord['window'] {
  if (windowDays === null || startNextDay === null) return null;
  const on = (day: number) => addDays(startedOn, day);
  return {
    from: on(windowDays.q10),
    middle: on(windowDays.q50),
    to: on(windowDays.q90),
    startNextOn: on(startNextDay),
  };
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
  if (entry.distanceKm == null && entry.amount == null && entry.comfort == null && !entry.note?.trim())
    throw refuse('distanceKm', 'Enter how much it was used, a comfort or a note.');
  await audit(tenant, 'write', 'pair log', pair.patient_id);
  return tenant.tx
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
}

/** Takes a pair out of use. */
export async function endPair(
  tenant: Tenant,
  pairId: string,
  { on, because }: { on: string; because: RetiredBecause },
): Promise<{ endedOn: string }> {
  const pair = await patientOfPair(tenant, pairId);
  checkDay(on, pair.started_on);
  await tenant.tx
    .updateTable('pair')
    .set({ ended_on: on, ended_because: because })
    .where('id', '=', pairId)
    .execute();
  await audit(tenant, 'write', 'pair retired', pair.patient_id);
  return { endedOn: on };
}
