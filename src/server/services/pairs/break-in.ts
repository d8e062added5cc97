import type { z } from 'zod';
import type { BreakInState } from '@/core/break-in/answers';
import { answersDue } from '@/core/break-in/answers-due';
import { type BreakInInput, breakInState } from '@/core/break-in/plan';
import type { goOnSchema, outingAnswerSchema } from '@/core/break-in/schema';
import { audit, type Tenant } from '../../database/tenant';
import { refusedAt } from '../../http/problem';
import { checkDay, pairDays } from './pair-days';

/** What a pair's break-in is made of, with the answers so far; null where none was planned. */
export async function readBreakIn({ tx }: Tenant, pairId: string): Promise<BreakInInput | null> {
  const row = await tx
    .selectFrom('pair')
    .select(['break_in', 'stopped_on'])
    .where('id', '=', pairId)
    .executeTakeFirst();
  if (!row?.break_in) return null;
  const answers = await tx
    .selectFrom('outing_answer')
    .select(['answered_on', 'felt', 'gait_changed', 'marks', 'seen'])
    .where('pair_id', '=', pairId)
    .orderBy('answered_on')
    .execute();
  return {
    ...row.break_in,
    stoppedOn: row.stopped_on,
    answers: answers.map(({ answered_on, felt, gait_changed, marks, seen }) => ({
      on: answered_on,
      felt,
      gaitChanged: gait_changed,
      marks,
      isSeen: seen,
    })),
  };
}

/** When an answer is missed, as it is stored with the pair. */
export function answerDays(input: BreakInInput): {
  answers_due_on: string | null;
  answers_until: string | null;
} {
  const due = answersDue(input);
  return { answers_due_on: due?.on ?? null, answers_until: due?.until ?? null };
}

/** Keeps what was said of one outing; a second answer of a day puts the first right. The plan and what is due follow at once. */
export async function answerOuting(
  tenant: Tenant,
  pairId: string,
  { on, felt, gaitChanged = false, marks = false }: z.infer<typeof outingAnswerSchema>,
): Promise<{ state: BreakInState }> {
  const pair = await pairDays(tenant, pairId);
  checkDay(on, pair);
  const before = await readBreakIn(tenant, pairId);
  if (!before) throw refusedAt('on', 'No break-in was planned for this pair.');
  await audit(tenant, 'write', 'answer of an outing', pair.patient_id);
  await tenant.tx
    .insertInto('outing_answer')
    .values({
      clinic_id: tenant.actor.clinicId,
      pair_id: pairId,
      answered_on: on,
      felt,
      gait_changed: gaitChanged,
      marks,
      made_by: tenant.actor.userId,
    })
    .onConflict((conflict) =>
      conflict
        .columns(['clinic_id', 'pair_id', 'answered_on'])
        .doUpdateSet({ felt, gait_changed: gaitChanged, marks, seen: false, made_by: tenant.actor.userId }),
    )
    .execute();
  const input = (await readBreakIn(tenant, pairId))!;
  const state = breakInState(input);
  await tenant.tx
    .updateTable('pair')
    .set({ break_in_state: state, ...answerDays(input) })
    .where('id', '=', pairId)
    .execute();
  return { state };
}

/**
 * A clinician looked at the foot and the pair, and it may go on: what was answered until now no longer stands in the way. What was
 * found is kept with the last answer.
 */
export async function goOn(
  tenant: Tenant,
  pairId: string,
  { found }: z.infer<typeof goOnSchema>,
): Promise<{ state: BreakInState }> {
  const pair = await pairDays(tenant, pairId);
  const input = await readBreakIn(tenant, pairId);
  const last = input?.answers.at(-1);
  if (!input || breakInState(input) === 'going') throw refusedAt('found', 'Nothing holds this pair up.');
  await audit(tenant, 'write', 'pair looked at: it may go on', pair.patient_id);
  const answers = tenant.tx.updateTable('outing_answer').where('pair_id', '=', pairId);
  await answers.set({ seen: true }).execute();
  if (last) await answers.set({ note: found }).where('answered_on', '=', last.on).execute();
  const going = { ...((await readBreakIn(tenant, pairId)) ?? input), stoppedOn: null };
  await tenant.tx
    .updateTable('pair')
    .set({ break_in_state: 'going', stopped_on: null, ...answerDays(going) })
    .where('id', '=', pairId)
    .execute();
  return { state: 'going' };
}
