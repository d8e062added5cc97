import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { readLimb, saveLimb } from '@/server/services/limb/limb';

export const GET = endpoint(api.limb, (tenant, { params, query }) => readLimb(tenant, params.id, query.now));
export const PUT = endpoint(api.saveLimb, (tenant, { params, body }) => saveLimb(tenant, params.id, body));
