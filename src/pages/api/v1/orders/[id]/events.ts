import { api } from '@/api/contract';
import { endpoint } from '@/server/http/endpoint';
import { moveOrder } from '@/server/services/orders';

export const POST = endpoint(api.orderEvent, (tenant, { params, body }) =>
  moveOrder(tenant, params.id, body),
);
