import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { keepOutings } from '@/server/services/pairs/track-outings';

export const POST = endpoint(api.keepOutings, (tenant, { params, body }) =>
  keepOutings(tenant, params.id, body),
);
