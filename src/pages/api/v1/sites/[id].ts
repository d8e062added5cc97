import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { changeSite } from '@/server/services/people/sites';

export const PATCH = endpoint(api.changeSite, (tenant, { params, body }) =>
  changeSite(tenant, params.id, body),
);
