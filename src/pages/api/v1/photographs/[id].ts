import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { photographFile } from '@/server/services/pairs/photographs';

export const GET = endpoint(api.photograph, (tenant, { params, query }) =>
  photographFile(tenant, params.id, query.size),
);
