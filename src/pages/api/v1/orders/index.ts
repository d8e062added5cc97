import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { listOrders } from '@/server/services/orders/order-records';

export const GET = endpoint(api.orders, (tenant, { query }) =>
  listOrders(tenant, {
    ...(query.patient ? { patientId: query.patient } : {}),
    ...(query.open === 'yes' ? { state: 'open' } : {}),
    before: query.before,
  }),
);
