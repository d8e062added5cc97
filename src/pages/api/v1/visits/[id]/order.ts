import { api } from '@/api/contract';
import { endpoint } from '@/server/http/endpoint';
import { orderPair } from '@/server/services/orders';

export const POST = endpoint(api.orderPair, (tenant, { params, body }) => orderPair(tenant, params.id, body));
