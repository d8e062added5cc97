import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { keepTableCheck } from '@/server/services/limb/table-checks';

export const POST = endpoint(api.keepTableCheck, (tenant, { params, body }) =>
  keepTableCheck(tenant, params.id, body),
);
