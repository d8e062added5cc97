import { sql } from 'kysely';
import type { OrderRecord } from '@/contract/records';
import { addDays, daysBetween } from '@/core/calendar/days';
import { daysToReturn, type OrderState } from '@/core/orders/order';
import { groupBy } from '@/core/tables/group-by';
import type { Tenant } from '../../database/tenant';
import { today } from '../clock';
import { MODEL_COLUMNS, modelOf } from '../shoes/model-rows';

export interface OrderFilter {
  patientId?: string;
  visitId?: string;
  orderId?: string;
  /** Those that still wait for something, or those that have ended; both where nothing is said. */
  state?: 'open' | 'ended';
  /** The last order of the page before. */
  before?: string | undefined;
  most?: number;
}

const OPEN: readonly OrderState[] = ['wanted', 'ordered', 'arrived', 'checked', 'wrong'];
const ENDED: readonly OrderState[] = ['collected', 'returned', 'cancelled'];
/** Most orders that are read at once. */
const MOST = 500;

/** Orders with what happened to each, the open ones first. */
export async function listOrders({ tx }: Tenant, filter: OrderFilter): Promise<OrderRecord[]> {
  let query = tx
    .selectFrom('shoe_order')
    .innerJoin('patient', 'patient.id', 'shoe_order.patient_id')
    .innerJoin('shoe_model', (join) =>
      join
        .onRef('shoe_model.id', '=', 'shoe_order.model_id')
        .onRef('shoe_model.clinic_id', '=', 'shoe_order.clinic_id'),
    );
  if (filter.patientId) query = query.where('shoe_order.patient_id', '=', filter.patientId);
  if (filter.visitId) query = query.where('shoe_order.visit_id', '=', filter.visitId);
  if (filter.orderId) query = query.where('shoe_order.id', '=', filter.orderId);
  if (filter.state)
    query = query.where('shoe_order.state', 'in', [...(filter.state === 'open' ? OPEN : ENDED)]);
  if (filter.before)
    query = query.where(
      sql<boolean>`(shoe_order.created_at, shoe_order.id) <
        (select last.created_at, last.id from shoe_order as last where last.id = ${filter.before}::uuid)`,
    );
  const rows = await query
    .selectAll('shoe_order')
    .select(['patient.given_name', 'patient.family_name', ...MODEL_COLUMNS])
    .orderBy('shoe_order.created_at', 'desc')
    .orderBy('shoe_order.id', 'desc')
    .limit(Math.min(filter.most ?? MOST, MOST))
    .execute();
  const events =
    rows.length === 0
      ? []
      : await tx
          .selectFrom('order_event')
          .leftJoin('auth.user as person', 'person.id', 'order_event.made_by')
          .select(['order_id', 'event', 'note', 'person.name', 'made_at'])
          .where(
            'order_id',
            'in',
            rows.map((row) => row.id),
          )
          .orderBy('order_event.id')
          .execute();
  const eventsOf = groupBy(events, ({ order_id }) => order_id);
  return rows
    .map(
      (row): OrderRecord => ({
        id: row.id,
        patient: { id: row.patient_id, name: `${row.given_name} ${row.family_name}` },
        visitId: row.visit_id,
        specificationId: row.specification_id,
        model: modelOf({ ...row, id: row.model_id }),
        sizeLeft: row.size_left,
        sizeRight: row.size_right,
        modifications: [...row.modifications],
        state: row.state,
        cameVersion: row.came_version,
        expectedOn: row.expected_on,
        late: row.state === 'ordered' && row.expected_on !== null && row.expected_on < today(),
        arrivedOn: row.arrived_on,
        returnBy: row.arrived_on && addDays(row.arrived_on, row.return_days),
        daysToReturn:
          row.arrived_on === null
            ? null
            : daysToReturn(daysBetween(row.arrived_on, today()), row.return_days),
        createdAt: row.created_at.toISOString(),
        events: (eventsOf.get(row.id) ?? []).map((event) => ({
          event: event.event,
          note: event.note,
          by: event.name ?? '',
          at: event.made_at.toISOString(),
        })),
      }),
    )
    .toSorted((a, b) => Number(ENDED.includes(a.state)) - Number(ENDED.includes(b.state)));
}
