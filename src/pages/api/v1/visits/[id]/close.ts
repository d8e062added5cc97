import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { closeVisit } from '@/server/services/visits/visits';

export const POST = endpoint(api.closeVisit, (tenant, { params, body }) =>
  closeVisit(tenant, params.id, body.reason),
);
