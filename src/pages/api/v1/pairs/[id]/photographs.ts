import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { keepPhotograph } from '@/server/services/pairs/photographs';

export const POST = endpoint(api.keepPhotograph, (tenant, { params, body }) =>
  keepPhotograph(tenant, params.id, body),
);
