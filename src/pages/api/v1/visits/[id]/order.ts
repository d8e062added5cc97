import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { orderPair } from '@/server/services/orders/orders';

export const POST = endpoint(api.orderPair, (tenant, { params, body }) => orderPair(tenant, params.id, body));
