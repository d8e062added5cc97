import { api } from '@/api/contract';
import { endpoint } from '@/server/http/endpoint';
import { endPair } from '@/server/services/pairs';

export const POST = endpoint(api.endPair, (tenant, { params, body }) => endPair(tenant, params.id, body.on));
