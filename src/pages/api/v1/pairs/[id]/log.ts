import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { logPair } from '@/server/services/pairs/pair-log';

export const POST = endpoint(api.logPair, (tenant, { params, body }) => logPair(tenant, params.id, body));
