import { sql } from 'kysely';
import type { z } from 'zod';
import type { OutcomeRecord } from '@/contract/answers/outcomes';
import { categoryOfPerson } from '@/core/examination/at-risk-category';
import { clinicalPicture } from '@/core/examination/clinical-picture';
import { alarmsOf } from '@/core/outcomes/outcome';
import { outcomesDue, USUAL_SCHEDULE } from '@/core/outcomes/schedule';
import type { Measures, outcomeSchema } from '@/core/outcomes/schema';
import { omitUndefined } from '@/core/tables/omit-undefined';
import { FROM_HOME, isFromHome } from '../../auth/home-link';
import { audit, type Tenant } from '../../database/tenant';
import { notFound } from '../../http/problem';
import { houseSettingsOf } from './house-settings';
import { checkDay, pairDays } from './pair-days';

/** Outcomes of a pair, oldest first; the first is what the others are held against. */
export async function readOutcomes({ tx }: Tenant, pairId: string): Promise<OutcomeRecord> {
  const rows = await tx
    .selectFrom('outcome')
    .leftJoin('auth.user as taker', 'taker.id', 'outcome.made_by')
    .select(['taken_on', 'measures', 'taker.name as by', 'outcome.made_by'])
    .where('pair_id', '=', pairId)
    .orderBy('taken_on')
    .execute();
  const due = await tx
    .selectFrom('pair')
    .select('outcomes_due_on')
    .where('id', '=', pairId)
    .executeTakeFirst();
  return {
    dueOn: due?.outcomes_due_on ?? null,
    taken: rows.map(({ taken_on, measures, by, made_by }) => ({
      on: taken_on,
      ...measures,
      by: by ?? (isFromHome(made_by) ? FROM_HOME : ''),
    })),
  };
}

/** When outcomes are asked for in this clinic. */
const scheduleOf = async (tenant: Tenant) => (await houseSettingsOf(tenant)).outcomes ?? USUAL_SCHEDULE;

/** Pairs with their days of outcomes and what they were issued under; all in use, or one. */
async function pairsToDate({ tx }: Tenant, pairId: string | null) {
  const pairs = tx
    .selectFrom('pair')
    .leftJoin('hand_over', (join) =>
      join.onRef('hand_over.pair_id', '=', 'pair.id').onRef('hand_over.clinic_id', '=', 'pair.clinic_id'),
    )
    .leftJoin('specification', (join) =>
      join
        .onRef('specification.id', '=', 'hand_over.specification_id')
        .onRef('specification.clinic_id', '=', 'hand_over.clinic_id'),
    )
    .select(['pair.id', 'started_on', 'picture'])
    .select(
      sql<string[]>`array(select taken_on::text from outcome where outcome.clinic_id = pair.clinic_id
        and outcome.pair_id = pair.id)`.as('taken'),
    );
  return (
    pairId === null ? pairs.where('ended_on', 'is', null) : pairs.where('pair.id', '=', pairId)
  ).execute();
}

/** When outcomes of a pair would be due next, were they taken on a day. */
export async function dueAfter(tenant: Tenant, pairId: string, on: string): Promise<string> {
  const [pair] = await pairsToDate(tenant, pairId);
  if (!pair) throw notFound('This pair');
  const category = pair.picture ? categoryOfPerson(clinicalPicture(pair.picture)) : null;
  return outcomesDue(pair.started_on, category, [...pair.taken, on], await scheduleOf(tenant)).on;
}

/** Works out anew when outcomes are due: of one pair, or of all in use where the clinic asks at other times. */
export async function refreshOutcomesDue(tenant: Tenant, pairId: string | null): Promise<void> {
  const schedule = await scheduleOf(tenant);
  const due = (await pairsToDate(tenant, pairId)).map(({ id, started_on, picture, taken }) => {
    const category = picture ? categoryOfPerson(clinicalPicture(picture)) : null;
    return { id, due: outcomesDue(started_on, category, taken, schedule).on };
  });
  await sql`update pair set outcomes_due_on = new.due
    from jsonb_to_recordset(${JSON.stringify(due)}::jsonb) as new(id uuid, due date)
    where pair.id = new.id`.execute(tenant.tx);
}

async function keep(tenant: Tenant, pairId: string, on: string, measures: Measures): Promise<void> {
  const { tx, actor } = tenant;
  const part = {
    measures: JSON.stringify(measures),
    alarm: alarmsOf(measures).length > 0,
    made_by: actor.userId,
  };
  await tx
    .insertInto('outcome')
    .values({ clinic_id: actor.clinicId, pair_id: pairId, taken_on: on, ...part })
    .onConflict((conflict) => conflict.columns(['clinic_id', 'pair_id', 'taken_on']).doUpdateSet(part))
    .execute();
}

/** Outcomes of one day; a second set of a day puts the first right. When the next are due follows. */
export async function keepOutcome(
  tenant: Tenant,
  pairId: string,
  { on, ...measures }: z.infer<typeof outcomeSchema>,
): Promise<OutcomeRecord> {
  const pair = await pairDays(tenant, pairId);
  checkDay(on, pair);
  await audit(tenant, 'write', 'outcomes of a pair', pair.patient_id);
  await keep(tenant, pairId, on, measures);
  await refreshOutcomesDue(tenant, pairId);
  return readOutcomes(tenant, pairId);
}

/**
 * A few measures added to the outcomes of a day, from home or with a log entry: what somebody else took on the same day stands, and
 * falls add up.
 */
export async function addToOutcome(
  tenant: Tenant,
  pairId: string,
  on: string,
  said: Pick<Measures, 'comfort' | 'pain' | 'skin' | 'skinAt' | 'falls'>,
): Promise<void> {
  const pair = await pairDays(tenant, pairId);
  checkDay(on, pair);
  const row = await tenant.tx
    .selectFrom('outcome')
    .select(['measures', 'made_by'])
    .where('pair_id', '=', pairId)
    .where('taken_on', '=', on)
    .executeTakeFirst();
  const before = row?.measures ?? {};
  // What a pair began with is what later days are held against: it stands, whoever says more on its first day.
  const isOwn = row?.made_by === tenant.actor.userId && on !== pair.started_on;
  const skin = [...new Set([...(before.skin ?? []), ...(said.skin ?? [])])];
  const marks = [...(before.skinAt ?? []), ...(said.skinAt ?? [])];
  const skinAt = [
    ...new Map(marks.map((mark) => [`${mark.side} ${mark.place} ${mark.sign}`, mark])).values(),
  ];
  const falls = said.falls === undefined ? before.falls : (before.falls ?? 0) + said.falls;
  const measures = {
    ...(isOwn ? { ...before, ...said } : { ...said, ...before }),
    ...(skin.length > 0 ? { skin } : {}),
    ...(skinAt.length > 0 ? { skinAt } : {}),
    ...(falls === undefined ? {} : { falls }),
  };
  const by = row && !isOwn ? row.made_by : tenant.actor.userId;
  await keep({ ...tenant, actor: { ...tenant.actor, userId: by } }, pairId, on, measures);
  await refreshOutcomesDue(tenant, pairId);
}

/** What a pair began with: comfort at the fitting, pain and gait at the visit, so that later outcomes have a baseline. */
export async function keepBaseline(
  tenant: Tenant,
  pairId: string,
  startedOn: string,
  measures: Pick<Measures, 'comfort' | 'zones' | 'pain' | 'gait'>,
): Promise<void> {
  const known = omitUndefined(measures);
  if (Object.keys(known).length > 0) await keep(tenant, pairId, startedOn, known);
  await refreshOutcomesDue(tenant, pairId);
}
