import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { endPair } from '@/server/services/patients/pairs';

export const POST = endpoint(api.endPair, (tenant, { params, body }) => endPair(tenant, params.id, body));
