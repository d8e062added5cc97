import { sql } from 'kysely';
import { ageOn, DAYS_PER_YEAR, dayOf, daysBetween } from '@/core/calendar/days';
import { clinicalPicture } from '@/core/examination/clinical-picture';
import { batchSpread } from '@/core/repeat/batch-spread';
import { fitRead } from '@/core/repeat/fit-read';
import { mayRepeatUnseen, type RepeatAnswer } from '@/core/repeat/repeat';
import { lengthOffsetSeen } from '@/core/sizing/learned/fit-evidence';
import { roomWished } from '@/core/sizing/size-wish';
import { groupBy } from '@/core/tables/group-by';
import { contentsOf } from '@/core/visit/held';
import type { Tenant } from '../../database/tenant';
import { notFound } from '../../http/problem';
import { today } from '../clock';
import { laterVersions } from '../shoes/models';
import { stepsOf } from '../visits/visit-steps';

/** Pairs that it is told from: the latest, of a clinic that has more. Ours. */
const LATEST = 500;

/** How far batches of one version lie apart here, from the latest fittings of pairs whose box was read. */
export async function batchSpreadOf({ tx }: Tenant): Promise<number> {
  const pairs = await tx
    .selectFrom('pair')
    .select(['id', 'model_id', 'batch'])
    .where('batch', 'is not', null)
    .orderBy('started_on', 'desc')
    .limit(LATEST)
    .execute();
  // A version that came in one batch says nothing of how far batches lie apart.
  const telling = [...groupBy(pairs, ({ model_id }) => model_id).values()].filter(
    (ofVersion) => new Set(ofVersion.map(({ batch }) => batch)).size > 1,
  );
  const ids = telling.flat().map(({ id }) => id);
  if (ids.length === 0) return batchSpread([]).sdMm;
  const rows = await tx
    .selectFrom('pair')
    .innerJoin('hand_over', 'hand_over.pair_id', 'pair.id')
    .innerJoin('fitting', (join) =>
      join
        .onRef('fitting.visit_id', '=', 'hand_over.visit_id')
        .onRef('fitting.model_id', '=', 'pair.model_id'),
    )
    .innerJoin('shoe_model', 'shoe_model.id', 'pair.model_id')
    .select(['pair.model_id', 'batch', 'feet', 'sizing'])
    .where('pair.id', '=', sql<string>`any(${ids}::uuid[])`)
    .execute();
  return batchSpread(
    rows.flatMap(({ model_id, batch, feet, sizing }) => {
      const offsetMm = lengthOffsetSeen(sizing, feet);
      return batch === null || offsetMm === null ? [] : [{ version: model_id, batch, offsetMm }];
    }),
  ).sdMm;
}

/** Whether another pair of the same may be bought unseen, by what its fitting read and what is known of the feet now. */
export async function readRepeat(tenant: Tenant, pairId: string): Promise<RepeatAnswer> {
  const { tx } = tenant;
  const row = await tx
    .selectFrom('pair')
    .innerJoin('patient', 'patient.id', 'pair.patient_id')
    .innerJoin('shoe_model', 'shoe_model.id', 'pair.model_id')
    .leftJoin('hand_over', 'hand_over.pair_id', 'pair.id')
    .select([
      'pair.patient_id',
      'pair.model_id',
      'born_on',
      'status',
      'visit_id',
      'handed_over_at',
      'started_on',
    ])
    .where('pair.id', '=', pairId)
    .executeTakeFirst();
  if (!row) throw notFound('This pair');
  const latest = await tx
    .selectFrom('specification')
    .select(['picture', 'result'])
    .where('patient_id', '=', row.patient_id)
    .orderBy('issued_at', 'desc')
    .executeTakeFirst();
  if (!latest)
    return { may: 'come-in', chance: null, because: ['Nothing was ever examined or issued for this pair.'] };
  const contents = row.visit_id === null ? {} : contentsOf(await stepsOf(tenant, row.visit_id));
  const fittedOn = row.handed_over_at === null ? row.started_on : dayOf(row.handed_over_at);
  return mayRepeatUnseen({
    picture: clinicalPicture(latest.picture),
    ageYears: ageOn(row.born_on, today()),
    ...fitRead(contents['try-on']?.tryOns?.find(({ model }) => model === row.model_id)),
    room: roomWished(latest.result),
    yearsSince: daysBetween(fittedOn, today()) / DAYS_PER_YEAR,
    batchSdMm: await batchSpreadOf(tenant),
    isStillMade: row.status === 'current' && !(await laterVersions(tenant, [row.model_id])).has(row.model_id),
  });
}
