import { type RawBuilder, sql } from 'kysely';
import { addDays } from '@/core/calendar/days';
import type { RecallKindId } from '@/core/recall/kinds';

/** A pair that may still go back shows from this many days before it may not. */
const RETURN_AHEAD_DAYS = 5;
/** Reviews show from this many days before they are due. */
const REVIEW_AHEAD_DAYS = 7;

/** Who needs what of one kind: from which rows, by which index, in which order. */
interface Branch {
  from: RawBuilder<unknown>;
  where: RawBuilder<unknown>;
  /** The day it is about; rows come in its order. */
  on: RawBuilder<unknown>;
  model?: true;
  visit?: true;
  said?: true;
}

const pair = (where: RawBuilder<unknown>, on: RawBuilder<unknown>): Branch => ({
  from: sql`pair as it`,
  where: sql`it.ended_on is null and ${where}`,
  on,
  model: true,
});
const order = (where: RawBuilder<unknown>, on: RawBuilder<unknown>): Branch => ({
  from: sql`shoe_order as it`,
  where,
  on,
  model: true,
});

/** Each kind reads its own partial index (migrations 0014, 0016, 0018 to 0021), however many rows the clinic has. */
const branches = (now: string): Readonly<Record<RecallKindId, Branch>> => ({
  'home-warning': {
    from: sql`home_report as it`,
    where: sql`it.is_warning and it.seen_at is null`,
    on: sql`it.said_on`,
    said: true,
  },
  'stop-wearing': pair(sql`it.break_in_state = 'stop'`, sql`it.started_on`),
  'outcome-alarm': {
    from: sql`outcome join pair as it on it.clinic_id = outcome.clinic_id and it.id = outcome.pair_id and it.ended_on is null`,
    where: sql`outcome.alarm`,
    on: sql`outcome.taken_on`,
    model: true,
  },
  'visit-open': {
    from: sql`visit as it`,
    where: sql`it.closed_at is null`,
    on: sql`it.started_at::date`,
    visit: true,
  },
  'risk-check': {
    from: sql`(select clinic_id, id as patient_id, risk_check_on from patient) as it`,
    where: sql`it.risk_check_on <= ${now}`,
    on: sql`it.risk_check_on`,
  },
  'refit-due': pair(sql`it.break_in_state = 'refit'`, sql`it.started_on`),
  'return-ends': pair(
    sql`it.return_by >= ${now} and it.return_by <= ${addDays(now, RETURN_AHEAD_DAYS)}`,
    sql`it.return_by`,
  ),
  'order-to-check': order(sql`it.state = 'arrived'`, sql`coalesce(it.arrived_on, it.created_at::date)`),
  'order-to-return': order(
    sql`it.state = 'wrong'`,
    sql`coalesce(it.arrived_on + it.return_days, it.created_at::date)`,
  ),
  'order-to-collect': order(sql`it.state = 'checked'`, sql`coalesce(it.arrived_on, it.created_at::date)`),
  'order-late': order(sql`it.state = 'ordered' and it.expected_on < ${now}`, sql`it.expected_on`),
  'order-to-place': order(sql`it.state = 'wanted'`, sql`it.created_at::date`),
  'answers-missing': pair(
    sql`it.break_in_state = 'going' and it.answers_due_on <= ${now} and it.answers_until >= ${now}`,
    sql`it.answers_due_on`,
  ),
  'pair-overdue': pair(sql`it.window_to < ${now}`, sql`it.window_to`),
  'review-due': pair(sql`it.review_on <= ${addDays(now, REVIEW_AHEAD_DAYS)}`, sql`it.review_on`),
  'outcomes-due': pair(sql`it.outcomes_due_on <= ${now}`, sql`it.outcomes_due_on`),
  'pair-in-window': pair(sql`it.window_to >= ${now} and it.window_from <= ${now}`, sql`it.window_to`),
  'bring-in-next': pair(sql`it.window_from > ${now} and it.start_next_on <= ${now}`, sql`it.window_from`),
});

/**
 * Rows of one kind that ask for something: of records in use, of one site where one is named, not put off.
 *
 * @param most rows of this kind
 */
export function branchOf(
  kind: RecallKindId,
  rank: number,
  { now, site, most }: { now: string; site: string | null; most: number },
): RawBuilder<unknown> {
  const { from, where, on, model, visit, said } = branches(now)[kind];
  return sql`(select ${kind}::text as kind, ${rank}::int as rank, it.patient_id, (${on})::text as about_on,
      ${model ? sql`it.model_id` : sql`null::uuid`} as model_id, ${visit ? sql`it.id` : sql`null::uuid`} as visit_id,
      ${said ? sql`it.content` : sql`null::jsonb`} as said
    from ${from} join patient as whose on whose.clinic_id = it.clinic_id and whose.id = it.patient_id
      and whose.archived_at is null ${site === null ? sql`` : sql`and whose.site_id = ${site}`}
    where ${where} and not exists (select from contact_try where contact_try.clinic_id = it.clinic_id
      and contact_try.patient_id = it.patient_id and contact_try.kind = ${kind} and contact_try.snoozed_until > ${now})
    order by ${on} limit ${most})`;
}
