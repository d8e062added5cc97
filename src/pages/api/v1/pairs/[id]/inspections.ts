import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { inspectPair } from '@/server/services/pairs/inspections';

export const POST = endpoint(api.inspectPair, (tenant, { params, body }) =>
  inspectPair(tenant, params.id, body),
);
