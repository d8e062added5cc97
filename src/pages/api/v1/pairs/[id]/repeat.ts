import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { readRepeat } from '@/server/services/pairs/repeat';

export const GET = endpoint(api.repeat, (tenant, { params }) => readRepeat(tenant, params.id));
