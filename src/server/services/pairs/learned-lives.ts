import { sql } from 'kysely';
import { daysBetween } from '@/core/calendar/days';
import { consentState } from '@/core/contact/consent';
import { groupBy } from '@/core/tables/group-by';
import { CLOCK_OF_USE, madeForUse } from '@/core/wear/clocks';
import { usedBy } from '@/core/wear/forecast';
import { lastLookOf } from '@/core/wear/learned/last-look';
import { factorsOf } from '@/core/wear/learned/life-factors';
import { type LearnedLife, lifeOfPair } from '@/core/wear/learned/life-of-pair';
import { familyOf, type LearnedCatalogue, observationOf } from '@/core/wear/learned/observation';
import { overlaps } from '@/core/wear/learned/overlaps';
import type { LifeObservation } from '@/core/wear/learned/pair-family';
import type { LifeSchool } from '@/core/wear/life-schools';
import type { Tenant } from '../../database/tenant';
import { heavy } from '../../heavy/heavy';
import { today } from '../clock';
import { notedConsent } from '../patients/consents';
import { conditionsOf, racingOf } from './conditions';
import { signStrengthsOf } from './house-settings';
import { forecastsAreStale } from './stale';

/** What this clinic's pairs say of some models; nothing where it was learned under another school, or never. */
export async function learnedLivesOf(
  { tx }: Tenant,
  school: LifeSchool,
  modelIds: readonly string[],
): Promise<Map<string, LearnedLife>> {
  if (modelIds.length === 0) return new Map();
  const clinic = await tx
    .selectFrom('clinic_life')
    .select('content')
    .where('school', '=', school)
    .executeTakeFirst();
  if (!clinic) return new Map();
  const rows = await tx
    .selectFrom('model_life')
    .select(['model_id', 'content'])
    .where('model_id', 'in', [...modelIds])
    .execute();
  return new Map(
    rows.map(({ model_id, content }) => [model_id, { version: content, effects: clinic.content.effects }]),
  );
}

/** Patients who took back that their record may teach. */
async function whoTeachNothing({ tx }: Tenant): Promise<Set<string>> {
  const rows = await tx
    .selectFrom('consent')
    .select(['patient_id', 'kind', 'given_on', 'withdrawn_on'])
    .where('kind', '=', 'learning')
    .execute();
  return new Set(
    [...groupBy(rows, (row) => row.patient_id)].flatMap(([patient, noted]) =>
      consentState(noted.map(notedConsent), 'learning') === 'withdrawn' ? [patient] : [],
    ),
  );
}

/** All pairs of a clinic as the learning sees them. */
async function observations(tenant: Tenant, school: LifeSchool, on: string): Promise<LifeObservation[]> {
  const silent = await whoTeachNothing(tenant);
  const rows = await tenant.tx
    .selectFrom('pair')
    .innerJoin('shoe_model', (join) =>
      join.onRef('shoe_model.id', '=', 'pair.model_id').onRef('shoe_model.clinic_id', '=', 'pair.clinic_id'),
    )
    .leftJoin(
      (eb) =>
        eb
          .selectFrom('pair_log')
          .select([
            'pair_id',
            sql<number | null>`sum(distance_km)`.as('km'),
            sql<number | null>`sum(amount)`.as('amount'),
          ])
          .groupBy('pair_id')
          .as('logged'),
      (join) => join.onRef('logged.pair_id', '=', 'pair.id'),
    )
    .select([
      'pair.id',
      'pair.patient_id',
      'started_on',
      'ended_on',
      'ended_because',
      'racing',
      'raced_only',
      'conditions',
      'body_mass_kg',
      'surface',
      'made_on',
      'expected_weekly_km',
      'weekly_use',
      'maker',
      'name',
      'version',
      'features',
      'logged.km',
      'logged.amount',
    ])
    .execute();
  const strengths = await signStrengthsOf(tenant);
  const byPatient = groupBy(rows, (row) => row.patient_id);
  const looked = groupBy(
    await tenant.tx
      .selectFrom('inspection')
      .select(['pair_id', 'inspected_on', 'content'])
      .orderBy('inspected_on')
      .orderBy('made_at')
      .execute(),
    (row) => row.pair_id,
  );
  return rows.flatMap((row) => {
    if (silent.has(row.patient_id)) return [];
    const use = madeForUse(row.features);
    const inKm = CLOCK_OF_USE[use] === 'km';
    const ageDays = Math.max(0, daysBetween(row.started_on, row.ended_on ?? on));
    const logged = (inKm ? row.km : row.amount) ?? 0;
    const counted = {
      log: logged > 0 ? [{ day: 0, amount: logged }] : [],
      expectedWeekly: inKm ? row.expected_weekly_km : row.weekly_use,
      ageDays,
    };
    const { used, by } = usedBy(counted, ageDays);
    const racing = racingOf(row);
    const seenSoFar = looked.get(row.id) ?? [];
    const heat = seenSoFar.findLast(({ content }) => content.heat !== undefined)?.content.heat;
    const looks = seenSoFar.map(({ inspected_on, content }) => {
      const day = daysBetween(row.started_on, inspected_on);
      // The log is summed up here: by a day it is taken to have grown evenly.
      return {
        used: logged > 0 ? (logged * day) / Math.max(1, ageDays) : usedBy(counted, day).used,
        signs: content.signs ?? {},
      };
    });
    const conditions = {
      ...conditionsOf(row, overlaps(row, byPatient.get(row.patient_id) ?? [], on)),
      ...(heat === undefined ? {} : { heat }),
    };
    const seen = observationOf(
      {
        model: row,
        racing,
        conditions,
        used,
        by,
        lastLook: lastLookOf(
          lifeOfPair({ use, school, racing }, factorsOf(use, conditions, row.features), null),
          looks,
          strengths,
        ),
        endedBecause: row.ended_on === null ? null : (row.ended_because ?? 'other'),
      },
      school,
    );
    return seen ? [seen] : [];
  });
}

/** Whether a clinic's lives are due: never learned, a pair was retired since, or a day old. */
export async function livesAreDue({ tx }: Tenant): Promise<boolean> {
  const row = await tx
    .selectFrom('clinic_life')
    .select(sql<boolean>`stale or learned_at < now() - interval '1 day'`.as('due'))
    .executeTakeFirst();
  return row?.due ?? true;
}

/** What is to be learned from; read in one transaction, learned outside of any. */
export async function toLearn(tenant: Tenant, school: LifeSchool, on = today()) {
  const models = await tenant.tx
    .selectFrom('shoe_model')
    .select(['id', 'maker', 'name', 'version', 'features'])
    .orderBy('id')
    .execute();
  return {
    ids: models.map(({ id }) => id),
    asked: {
      pairs: await observations(tenant, school, on),
      models: models.map(familyOf),
      school,
    },
  };
}

/** Learns in a process of its own. */
export const learn = (asked: Awaited<ReturnType<typeof toLearn>>['asked']): Promise<LearnedCatalogue> =>
  heavy('learnCatalogue', asked);

/** Keeps what was learned, and has every forecast of a pair in use worked out anew. */
export async function keepLearned(
  tenant: Tenant,
  school: LifeSchool,
  ids: readonly string[],
  { lives, ...clinic }: LearnedCatalogue,
): Promise<void> {
  const { tx, actor } = tenant;
  const content = JSON.stringify(clinic);
  await tx
    .insertInto('clinic_life')
    .values({ clinic_id: actor.clinicId, school, content, stale: false })
    .onConflict((conflict) =>
      // A pair that was retired while this was learned has made it stale again: that stays.
      conflict.column('clinic_id').doUpdateSet({ school, content, learned_at: sql`now()` }),
    )
    .execute();
  await tx.deleteFrom('model_life').execute();
  const rows = JSON.stringify(ids.map((id, at) => ({ id, content: lives[at] })));
  // A model that went meanwhile is left out.
  await sql`insert into model_life (clinic_id, model_id, content)
    select ${actor.clinicId}, model.id, new.content
    from jsonb_to_recordset(${rows}::jsonb) as new(id uuid, content jsonb) join shoe_model as model on model.id = new.id`.execute(
    tx,
  );
  await forecastsAreStale(tenant);
}
