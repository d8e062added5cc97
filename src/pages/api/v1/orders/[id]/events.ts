import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { moveOrder } from '@/server/services/orders/orders';

export const POST = endpoint(api.orderEvent, (tenant, { params, body }) =>
  moveOrder(tenant, params.id, body),
);
