import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { goOn } from '@/server/services/pairs/break-in';

export const POST = endpoint(api.goOn, (tenant, { params, body }) => goOn(tenant, params.id, body));
