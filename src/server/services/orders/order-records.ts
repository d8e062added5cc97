import type { OrderRecord } from '@/contract/records';
import { addDays, daysBetween } from '@/core/calendar/days';
import { daysToReturn, type OrderState } from '@/core/orders/order';
import type { Tenant } from '../../database/tenant';
import { today } from '../clock';
import { MODEL_COLUMNS, modelOf } from '../shoes/model-rows';

export interface OrderFilter {
  patientId?: string;
  visitId?: string;
  orderId?: string;
  open?: boolean;
}

const ENDED: readonly OrderState[] = ['collected', 'returned', 'cancelled'];

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
  if (filter.open) query = query.where('shoe_order.state', 'not in', [...ENDED]);
  const rows = await query
    .selectAll('shoe_order')
    .select(['patient.given_name', 'patient.family_name', ...MODEL_COLUMNS])
    .orderBy('shoe_order.created_at', 'desc')
    .limit(500)
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
        events: events
          .filter((event) => event.order_id === row.id)
          .map((event) => ({
            event: event.event,
            note: event.note,
            by: event.name ?? '',
            at: event.made_at.toISOString(),
          })),
      }),
    )
    .toSorted((a, b) => Number(ENDED.includes(a.state)) - Number(ENDED.includes(b.state)));
}
