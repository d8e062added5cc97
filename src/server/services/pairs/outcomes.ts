import type { z } from 'zod';
import type { OutcomeRecord } from '@/contract/answers/outcomes';
import { categoryOfPerson } from '@/core/examination/at-risk-category';
import { clinicalPicture } from '@/core/examination/clinical-picture';
import { alarmsOf, type Outcome } from '@/core/outcomes/outcome';
import { outcomesDue } from '@/core/outcomes/schedule';
import type { Measures, outcomeSchema } from '@/core/outcomes/schema';
import { FROM_HOME, isFromHome } from '../../auth/home-link';
import { audit, type Tenant } from '../../database/tenant';
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

/** The at-risk category that the pair was issued under; null where nobody could say. */
async function categoryOf({ tx }: Tenant, pairId: string) {
  const row = await tx
    .selectFrom('hand_over')
    .innerJoin('specification', (join) =>
      join
        .onRef('specification.id', '=', 'hand_over.specification_id')
        .onRef('specification.clinic_id', '=', 'hand_over.clinic_id'),
    )
    .select('picture')
    .where('pair_id', '=', pairId)
    .executeTakeFirst();
  return row ? categoryOfPerson(clinicalPicture(row.picture)) : null;
}

/** Works out anew when outcomes of a pair are due. */
async function refreshDue(tenant: Tenant, pairId: string, startedOn: string): Promise<string> {
  const rows = await tenant.tx
    .selectFrom('outcome')
    .select('taken_on')
    .where('pair_id', '=', pairId)
    .execute();
  const { on } = outcomesDue(
    startedOn,
    await categoryOf(tenant, pairId),
    rows.map(({ taken_on }) => taken_on),
  );
  await tenant.tx.updateTable('pair').set({ outcomes_due_on: on }).where('id', '=', pairId).execute();
  return on;
}

async function keep(tenant: Tenant, pairId: string, on: string, measures: Measures): Promise<void> {
  const { tx, actor } = tenant;
  const part = {
    measures: JSON.stringify(measures),
    alarm: alarmsOf({ on, ...measures }).length > 0,
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
  await refreshDue(tenant, pairId, pair.started_on);
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
  said: Pick<Measures, 'comfort' | 'pain' | 'skin' | 'falls'>,
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
  const falls = said.falls === undefined ? before.falls : (before.falls ?? 0) + said.falls;
  const measures = {
    ...(isOwn ? { ...before, ...said } : { ...said, ...before }),
    ...(skin.length > 0 ? { skin } : {}),
    ...(falls === undefined ? {} : { falls }),
  };
  const by = row && !isOwn ? row.made_by : tenant.actor.userId;
  await keep({ ...tenant, actor: { ...tenant.actor, userId: by } }, pairId, on, measures);
  await refreshDue(tenant, pairId, pair.started_on);
}

/** What a pair began with: comfort at the fitting and pain at the visit, so that later outcomes have a baseline. */
export async function keepBaseline(
  tenant: Tenant,
  pairId: string,
  startedOn: string,
  measures: Pick<Outcome, 'comfort' | 'pain'>,
): Promise<void> {
  const { comfort, pain } = measures;
  if (comfort !== undefined || pain !== undefined)
    await keep(tenant, pairId, startedOn, {
      ...(comfort === undefined ? {} : { comfort }),
      ...(pain === undefined ? {} : { pain }),
    });
  await refreshDue(tenant, pairId, startedOn);
}
