import { sql } from 'kysely';
import type { TodayItem, TodayKind } from '@/contract/records';
import { addDays, ageOn } from '@/core/calendar/days';
import { modelTitle } from '@/core/catalogue/model';
import { reach } from '@/core/contact/reach';
import { reportInWords } from '@/core/home/report';
import type { OrderState } from '@/core/orders/order';
import type { Tenant } from '../../database/tenant';
import { today } from '../clock';
import { listOrders } from '../orders/order-records';
import { pairsInUse } from '../pairs/in-use';
import { contactConsents } from './consents';

/** Most urgent first: somebody is in the room, then what is late, then what comes. */
const URGENCY: readonly TodayKind[] = [
  'home-warning',
  'stop-wearing',
  'outcome-alarm',
  'visit-open',
  'refit-due',
  'return-ends',
  'order-to-check',
  'order-to-return',
  'order-to-collect',
  'order-to-place',
  'order-late',
  'pair-overdue',
  'review-due',
  'outcomes-due',
  'pair-in-window',
  'bring-in-next',
];

/** A pair that may still go back shows from this many days before it may not. */
const RETURN_AHEAD_DAYS = 5;

/** Reviews show from this many days before they are due. */
const REVIEW_AHEAD_DAYS = 7;

/** Who needs what, most urgent first; of one site where one is named. Records put away into the archive ask for nothing. */
export async function readToday(tenant: Tenant, site: string | null = null): Promise<TodayItem[]> {
  const { tx } = tenant;
  const now = today();
  let listed = tx
    .selectFrom('patient')
    .select(['id', 'given_name', 'family_name', 'born_on', 'phone', 'email', 'address', 'contact_by'])
    .where('archived_at', 'is', null);
  if (site !== null) listed = listed.where('site_id', '=', site);
  const patients = new Map(
    (await listed.execute()).map((row) => [
      row.id,
      { id: row.id, name: `${row.given_name} ${row.family_name}`, age: ageOn(row.born_on, now), row },
    ]),
  );
  const contact = await contactConsents(tenant);
  const items: TodayItem[] = [];
  const add = (
    kind: TodayKind,
    patientId: string,
    what: string,
    on: string,
    visitId: string | null = null,
  ) => {
    const patient = patients.get(patientId);
    if (!patient) return;
    const { row, ...who } = patient;
    const details = { contactBy: row.contact_by, phone: row.phone, email: row.email, address: row.address };
    items.push({
      kind,
      patient: who,
      reach: kind === 'visit-open' ? null : reach(details, contact.get(patientId) ?? 'not-asked').words,
      what,
      on,
      visitId,
    });
  };

  const open = await tx
    .selectFrom('visit')
    .select(['id', 'patient_id', 'started_at'])
    .where('closed_at', 'is', null)
    .execute();
  for (const visit of open)
    add(
      'visit-open',
      visit.patient_id,
      'visit not handed over',
      visit.started_at.toISOString().slice(0, 10),
      visit.id,
    );

  const due = await pairsInUse(tenant)
    .select(['start_next_on', 'window_from', 'window_middle', 'window_to'])
    .where('start_next_on', '<=', now)
    .orderBy('start_next_on')
    .execute();
  for (const pair of due) {
    const { window_from: from, window_middle: middle, window_to: to } = pair;
    if (from === null || middle === null || to === null) continue;
    const title = modelTitle(pair);
    if (now > to) add('pair-overdue', pair.patient_id, title, to);
    else if (now >= from) add('pair-in-window', pair.patient_id, title, middle);
    else add('bring-in-next', pair.patient_id, title, from);
  }

  const sore = await pairsInUse(tenant)
    .select(['break_in_state', 'started_on'])
    .where('break_in_state', 'in', ['refit', 'stop'])
    .execute();
  for (const pair of sore)
    add(
      pair.break_in_state === 'stop' ? 'stop-wearing' : 'refit-due',
      pair.patient_id,
      modelTitle(pair),
      pair.started_on,
    );

  const alarms = await pairsInUse(tenant)
    .innerJoin('outcome', (join) =>
      join.onRef('outcome.pair_id', '=', 'pair.id').onRef('outcome.clinic_id', '=', 'pair.clinic_id'),
    )
    .select('taken_on')
    .where('alarm', 'is', true)
    // Seen since, or answered well since, it is no longer one.
    .where((is) =>
      is.not(
        is.exists(
          is
            .selectFrom('visit as later')
            .select(sql`1`.as('one'))
            .whereRef('later.patient_id', '=', 'pair.patient_id')
            .whereRef('later.started_at', '>', sql<Date>`outcome.made_at`),
        ),
      ),
    )
    .where((is) =>
      is.not(
        is.exists(
          is
            .selectFrom('outcome as after')
            .select(sql`1`.as('one'))
            .whereRef('after.pair_id', '=', 'pair.id')
            .whereRef('after.taken_on', '>', 'outcome.taken_on'),
        ),
      ),
    )
    .execute();
  for (const pair of alarms) add('outcome-alarm', pair.patient_id, modelTitle(pair), pair.taken_on);

  const warnings = await tx
    .selectFrom('home_report')
    .select(['patient_id', 'said_on', 'content'])
    .where('is_warning', 'is', true)
    .where('seen_at', 'is', null)
    .orderBy('received_at')
    .execute();
  for (const report of warnings)
    add('home-warning', report.patient_id, reportInWords(report.content.content), report.said_on);

  const unasked = await pairsInUse(tenant)
    .select('outcomes_due_on')
    .where('outcomes_due_on', '<=', now)
    .execute();
  for (const pair of unasked)
    if (pair.outcomes_due_on) add('outcomes-due', pair.patient_id, modelTitle(pair), pair.outcomes_due_on);

  const mayGoBack = await pairsInUse(tenant)
    .select(['return_by'])
    .where('return_by', '>=', now)
    .where('return_by', '<=', addDays(now, RETURN_AHEAD_DAYS))
    .execute();
  for (const pair of mayGoBack)
    if (pair.return_by) add('return-ends', pair.patient_id, modelTitle(pair), pair.return_by);

  const waiting: Partial<Record<OrderState, TodayKind>> = {
    wanted: 'order-to-place',
    arrived: 'order-to-check',
    checked: 'order-to-collect',
    wrong: 'order-to-return',
  };
  for (const order of await listOrders(tenant, { open: true })) {
    const kind = order.late ? 'order-late' : waiting[order.state];
    if (!kind) continue;
    const on = order.late ? order.expectedOn : order.state === 'wrong' ? order.returnBy : order.arrivedOn;
    add(kind, order.patient.id, modelTitle(order.model), on ?? order.createdAt.slice(0, 10));
  }

  const reviews = await tx
    .selectFrom('hand_over')
    .select(['patient_id', 'review_on'])
    .where('review_on', '<=', addDays(now, REVIEW_AHEAD_DAYS))
    .where((eb) =>
      eb.not(
        eb.exists(
          eb
            .selectFrom('visit as later')
            .select(sql`1`.as('one'))
            .whereRef('later.patient_id', '=', 'hand_over.patient_id')
            .whereRef('later.started_at', '>', 'hand_over.handed_over_at'),
        ),
      ),
    )
    .execute();
  for (const review of reviews)
    add('review-due', review.patient_id, 'review after hand-over', review.review_on);

  return items.sort(
    (a, b) =>
      URGENCY.indexOf(a.kind) - URGENCY.indexOf(b.kind) ||
      (a.on < b.on ? -1 : 1) ||
      (a.patient.id < b.patient.id ? -1 : 1),
  );
}
