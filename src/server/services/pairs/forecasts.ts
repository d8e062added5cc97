import { type Selectable, sql } from 'kysely';
import { addDays, daysBetween } from '@/core/calendar/days';
import type { FeatureValues } from '@/core/shoe/features';
import type { SignStrengths } from '@/core/signs/signs';
import { groupBy } from '@/core/tables/group-by';
import type { BringIn } from '@/core/wear/bring-in';
import { CLOCK_OF_USE, madeForUse } from '@/core/wear/clocks';
import { type WearForecast, type WearInput, wearForecast } from '@/core/wear/forecast';
import type { LearnedLife } from '@/core/wear/learned/life-of-pair';
import type { LifeSchool } from '@/core/wear/life-schools';
import type { Database } from '../../database/schema';
import type { Tenant } from '../../database/tenant';
import { today } from '../clock';
import { readClinic } from '../people/clinic';
import { conditionsOf, racingOf } from './conditions';
import { signStrengthsOf } from './house-settings';
import { learnedLivesOf } from './learned-lives';

/** Which pairs: of one patient, named ones, or those in use whose forecast is older than today. */
export type WhichPairs = { patientId: string } | { pairIds: readonly string[] } | { outdated: number };

type PairRow = Selectable<Database['pair']>;

interface ToForecast extends PairRow {
  features: FeatureValues;
  /** Pairs of the same wearer in use beside it: all, and those that share the stated distance. */
  beside: number;
  sharing: number;
}

type Logged = Pick<Selectable<Database['pair_log']>, 'logged_on' | 'distance_km' | 'amount'>;
type Looked = Pick<Selectable<Database['inspection']>, 'inspected_on' | 'content'>;

/** What a week brings a pair: as the plan of the week gives it, else its share of what was stated, else what was stated for it. */
function weeklyOf(row: ToForecast, inKm: boolean): number | null {
  if (row.planned_weekly !== null && row.ended_on === null) return row.planned_weekly;
  if (!inKm) return row.weekly_use;
  if (row.expected_weekly_km === null) return null;
  // A patient's stated distance is shared among the pairs in use, never given to each in full.
  return row.expected_weekly_km / (row.ended_on === null ? row.sharing : 1);
}

/** A pair as its forecast is worked out from. */
export function wearInputOf(
  row: ToForecast,
  log: readonly Logged[],
  looked: readonly Looked[],
  {
    school,
    bringIn,
    strengths,
    on,
    learned,
  }: {
    school: LifeSchool;
    bringIn: BringIn;
    strengths: SignStrengths | undefined;
    on: string;
    learned: LearnedLife | null;
  },
): WearInput {
  const use = madeForUse(row.features);
  const inKm = CLOCK_OF_USE[use] === 'km';
  const until = row.ended_on ?? on;
  const heat = looked.findLast(({ content }) => content.heat !== undefined)?.content.heat;
  return {
    ...conditionsOf(row, row.beside > 1),
    ...(heat === undefined ? {} : { heat }),
    school,
    use,
    racing: racingOf(row),
    features: row.features,
    learned,
    ageDays: Math.max(0, daysBetween(row.started_on, until)),
    madeDaysAgo: row.made_on === null ? null : Math.max(0, daysBetween(row.made_on, until)),
    log: log.flatMap((entry) => {
      const amount = inKm ? entry.distance_km : entry.amount;
      return amount === null ? [] : [{ day: daysBetween(row.started_on, entry.logged_on), amount }];
    }),
    expectedWeekly: weeklyOf(row, inKm),
    bringIn,
    strengths,
    inspections: looked.map(({ inspected_on, content }) => ({
      day: Math.max(0, daysBetween(row.started_on, inspected_on)),
      signs: content.signs ?? {},
    })),
  };
}

async function pairsToForecast({ tx }: Tenant, which: WhichPairs, on: string): Promise<ToForecast[]> {
  let query = tx
    .selectFrom('pair')
    .innerJoin('shoe_model', (join) =>
      join.onRef('shoe_model.id', '=', 'pair.model_id').onRef('shoe_model.clinic_id', '=', 'pair.clinic_id'),
    )
    .selectAll('pair')
    .select('shoe_model.features')
    .select(
      sql<number>`(select count(*) from pair as beside where beside.patient_id = pair.patient_id
        and beside.ended_on is null)::int`.as('beside'),
    )
    .select(
      sql<number>`greatest(1, (select count(*) from pair as beside where beside.patient_id = pair.patient_id
        and beside.ended_on is null and beside.expected_weekly_km is not null))::int`.as('sharing'),
    );
  // Locked one after the other in the same order by everybody; the run of the night waits for nobody.
  const locked = () => query.orderBy('pair.id').forNoKeyUpdate('pair');
  if ('patientId' in which) query = query.where('pair.patient_id', '=', which.patientId);
  else if ('pairIds' in which) query = query.where('pair.id', 'in', [...which.pairIds]);
  else {
    query = query
      .where('pair.ended_on', 'is', null)
      .where((eb) => eb.or([eb('pair.forecast_on', 'is', null), eb('pair.forecast_on', '<', on)]))
      .limit(which.outdated);
    return locked().skipLocked().execute();
  }
  return locked().execute();
}

/** Days of a forecast as lists sort by them; null where nothing can be said. */
function daysOf(startedOn: string, { windowDays, startNextDay }: WearForecast) {
  const on = (day: number | undefined | null) => (day == null ? null : addDays(startedOn, day));
  return {
    start_next_on: on(startNextDay),
    window_from: on(windowDays?.q10),
    window_middle: on(windowDays?.q50),
    window_to: on(windowDays?.q90),
  };
}

/**
 * Works out forecasts anew and keeps them with their pairs: after every event of a pair, and each night. Lists read them by
 * index and never work one out.
 *
 * @returns them, by pair
 */
export async function refreshForecasts(
  tenant: Tenant,
  which: WhichPairs,
  on = today(),
): Promise<Map<string, WearForecast>> {
  const { tx } = tenant;
  const rows = await pairsToForecast(tenant, which, on);
  if (rows.length === 0) return new Map();
  const ids = rows.map(({ id }) => id);
  const { lifeSchool: school, bringIn } = await readClinic(tenant);
  const strengths = await signStrengthsOf(tenant);
  const log = groupBy(
    await tx
      .selectFrom('pair_log')
      .select(['pair_id', 'logged_on', 'distance_km', 'amount'])
      .where('pair_id', 'in', ids)
      .orderBy('logged_on')
      .execute(),
    (entry) => entry.pair_id,
  );
  const looked = groupBy(
    await tx
      .selectFrom('inspection')
      .select(['pair_id', 'inspected_on', 'content'])
      .where('pair_id', 'in', ids)
      .orderBy('inspected_on')
      .orderBy('made_at')
      .execute(),
    (entry) => entry.pair_id,
  );
  const learned = await learnedLivesOf(tenant, school, [...new Set(rows.map(({ model_id }) => model_id))]);
  const forecasts = rows.map((row) => {
    const forecast = wearForecast(
      wearInputOf(row, log.get(row.id) ?? [], looked.get(row.id) ?? [], {
        school,
        bringIn,
        strengths,
        on,
        learned: learned.get(row.model_id) ?? null,
      }),
    );
    return { id: row.id, forecast, ...daysOf(row.started_on, forecast) };
  });
  await sql`update pair set forecast = new.forecast, forecast_on = ${on}, start_next_on = new.start_next_on,
      window_from = new.window_from, window_middle = new.window_middle, window_to = new.window_to
    from jsonb_to_recordset(${JSON.stringify(forecasts)}::jsonb) as new(id uuid, forecast jsonb, start_next_on date,
      window_from date, window_middle date, window_to date)
    where pair.id = new.id`.execute(tx);
  return new Map(forecasts.map(({ id, forecast }) => [id, forecast]));
}

/** A pair's forecast as it was last worked out. */
export async function forecastOf({ tx }: Tenant, pairId: string): Promise<WearForecast> {
  const { forecast } = await tx
    .selectFrom('pair')
    .select('forecast')
    .where('id', '=', pairId)
    .executeTakeFirstOrThrow();
  if (forecast === null) throw new Error('A pair has no forecast.');
  return forecast;
}
