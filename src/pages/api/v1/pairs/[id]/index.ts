import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { readPair } from '@/server/services/pairs/pair-records';

export const GET = endpoint(api.pair, (tenant, { params }) => readPair(tenant, params.id));
