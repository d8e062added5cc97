import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { broughtPhotographs, keepBroughtPhotograph } from '@/server/services/pairs/photographs';

export const GET = endpoint(api.broughtPhotographs, (tenant, { params, query }) =>
  broughtPhotographs(tenant, params.id, query.brought),
);
export const POST = endpoint(api.keepBroughtPhotograph, (tenant, { params, body }) =>
  keepBroughtPhotograph(tenant, params.id, body),
);
