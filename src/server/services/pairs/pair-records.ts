import type { Selectable } from 'kysely';
import type { InspectionRecord, PairLogEntry, PairPage, PairRecord } from '@/contract/records';
import { daysBetween } from '@/core/calendar/days';
import { modelTitle } from '@/core/catalogue/model';
import { versionDifferences } from '@/core/match/version-differences';
import { readChange } from '@/core/outcomes/real-change';
import type { Measures } from '@/core/outcomes/schema';
import { groupBy } from '@/core/tables/group-by';
import { madeForUse } from '@/core/wear/clocks';
import { stateOf, usedBy } from '@/core/wear/forecast';
import { schoolsBeside } from '@/core/wear/schools-beside';
import type { Database } from '../../database/schema';
import { audit, type Tenant } from '../../database/tenant';
import { notFound } from '../../http/problem';
import { today } from '../clock';
import { patientRow } from '../patients/patient-row';
import { MODEL_COLUMNS, modelOf } from '../shoes/model-rows';
import { laterVersions } from '../shoes/models';
import { readBreakIn } from './break-in';
import { conditionsOf, racingOf } from './conditions';
import { refreshForecasts } from './forecasts';
import { signStrengthsOf } from './house-settings';
import { readOutcomes } from './outcomes';
import { photographsOf } from './photographs';

/** Of one patient, or one pair. */
export type PairFilter = { patientId: string } | { pairId: string };

/** A patient's pairs; a refusal where there is no such patient. */
export async function pairsOfPatient(tenant: Tenant, patientId: string): Promise<PairRecord[]> {
  await patientRow(tenant, patientId);
  return listPairs(tenant, { patientId });
}

/** Pairs with their log and replacement window, newest first. */
export async function listPairs(
  tenant: Tenant,
  filter: PairFilter,
  on = today(),
): Promise<(PairRecord & { patientId: string })[]> {
  const { tx } = tenant;
  const read = () => {
    const query = tx
      .selectFrom('pair')
      .innerJoin('shoe_model', (join) =>
        join
          .onRef('shoe_model.id', '=', 'pair.model_id')
          .onRef('shoe_model.clinic_id', '=', 'pair.clinic_id'),
      )
      .selectAll('pair')
      .select([...MODEL_COLUMNS])
      .orderBy('pair.started_on', 'desc');
    return (
      'patientId' in filter
        ? query.where('pair.patient_id', '=', filter.patientId)
        : query.where('pair.id', '=', filter.pairId)
    ).execute();
  };
  let rows = await read();
  const unknown = rows.filter(({ forecast }) => forecast === null).map(({ id }) => id);
  if (unknown.length > 0) {
    await refreshForecasts(tenant, { pairIds: unknown }, on);
    rows = await read();
  }
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
  const byPair = groupBy(log, (entry) => entry.pair_id);
  const measured = groupBy(await measuresOf(tenant, ids), ({ pair_id }) => pair_id);
  const looked = groupBy(await inspectionsOf(tenant, ids), (entry) => entry.pairId);
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
    const { forecast, window } = standingOf(row, on);
    const inKm = forecast.life.clock === 'km';
    const wearInput = {
      log: entries.flatMap((entry) => {
        const amount = inKm ? entry.distanceKm : entry.amount;
        return amount === null ? [] : [{ day: daysBetween(row.started_on, entry.on), amount }];
      }),
      expectedWeekly: forecast.basis === 'stated' ? forecast.weekly : null,
      ageDays: daysBetween(row.started_on, row.ended_on ?? on),
    };
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
      endedBecause: row.ended_because,
      madeOn: row.made_on,
      surface: row.surface,
      conditions: row.conditions,
      batch: row.batch,
      log: entries,
      forecast,
      window,
      comfort: comfortReading((measured.get(row.id) ?? []).map(({ measures }) => measures)),
      inspections: (looked.get(row.id) ?? []).map(({ pairId: _, ...entry }) => ({
        ...entry,
        used: usedBy(wearInput, daysBetween(row.started_on, entry.on)).used,
      })),
      schools: schoolsBeside(
        madeForUse(model.features),
        racingOf(row),
        conditionsOf(row, false),
        model.features,
      ),
    };
  });
}

/** One pair with whose it is, and those of its model before it; the reading is audited. */
export async function readPair(tenant: Tenant, pairId: string): Promise<PairPage> {
  const owner = await tenant.tx
    .selectFrom('pair')
    .innerJoin('patient', 'patient.id', 'pair.patient_id')
    .select(['patient.id', 'given_name', 'family_name'])
    .where('pair.id', '=', pairId)
    .executeTakeFirst();
  if (!owner) throw notFound('This pair');
  const all = (await listPairs(tenant, { patientId: owner.id })).map(({ patientId: _, ...pair }) => pair);
  const pair = all.find(({ id }) => id === pairId);
  if (!pair) throw notFound('This pair');
  await audit(tenant, 'read', 'pair', owner.id);
  return {
    pair,
    patient: { id: owner.id, name: `${owner.given_name} ${owner.family_name}` },
    strengths: await signStrengthsOf(tenant),
    breakIn: await readBreakIn(tenant, pairId),
    outcomes: await readOutcomes(tenant, pairId),
    photographs: await photographsOf(tenant, { pair_id: pairId }),
    forerunners: all.filter(
      ({ id, model, startedOn }) =>
        id !== pairId &&
        startedOn < pair.startedOn &&
        model.maker === pair.model.maker &&
        model.name === pair.model.name,
    ),
  };
}

/** Outcomes of pairs, oldest first. */
async function measuresOf({ tx }: Tenant, pairIds: readonly string[]) {
  if (pairIds.length === 0) return [];
  return tx
    .selectFrom('outcome')
    .select(['pair_id', 'measures'])
    .where('pair_id', 'in', [...pairIds])
    .orderBy('taken_on')
    .execute();
}

/** Inspections of pairs, oldest first. */
async function inspectionsOf(
  { tx }: Tenant,
  pairIds: readonly string[],
): Promise<(Omit<InspectionRecord, 'used'> & { pairId: string })[]> {
  if (pairIds.length === 0) return [];
  const rows = await tx
    .selectFrom('inspection')
    .leftJoin('auth.user as looker', 'looker.id', 'inspection.made_by')
    .select(['inspection.id', 'pair_id', 'inspected_on', 'content', 'looker.name as by'])
    .where('pair_id', 'in', [...pairIds])
    .orderBy('inspected_on')
    .orderBy('made_at')
    .execute();
  return rows.map((row) => ({
    id: row.id,
    pairId: row.pair_id,
    on: row.inspected_on,
    content: row.content,
    by: row.by ?? '',
  }));
}

/** A forecast as it was last worked out, and where the pair stands by it on a day. */
function standingOf(
  row: Pick<
    Selectable<Database['pair']>,
    'forecast' | 'started_on' | 'ended_on' | 'window_from' | 'window_middle' | 'window_to' | 'start_next_on'
  >,
  on: string,
): Pick<PairRecord, 'forecast' | 'window'> {
  if (row.forecast === null) throw new Error('A pair has no forecast.');
  const { window_from: from, window_middle: middle, window_to: to, start_next_on: startNextOn } = row;
  if (from === null || middle === null || to === null || startNextOn === null)
    return { forecast: row.forecast, window: null };
  const day = (of: string) => daysBetween(row.started_on, of);
  const state = stateOf(day(row.ended_on ?? on), { q10: day(from), q90: day(to) }, day(startNextOn));
  return { forecast: { ...row.forecast, state }, window: { from, middle, to, startNextOn } };
}

/** Comfort then and now, of the pair’s outcomes, oldest first: the same that stand on its page. */
function comfortReading(outcomes: readonly Measures[]): PairRecord['comfort'] {
  const rated = outcomes.flatMap(({ comfort }) => comfort ?? []);
  const [baseline] = rated;
  const now = rated.at(-1);
  if (rated.length < 2 || baseline === undefined || now === undefined) return null;
  return { baseline, now, reading: readChange(baseline, now) };
}
