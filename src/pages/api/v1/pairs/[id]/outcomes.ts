import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { keepOutcome } from '@/server/services/pairs/outcomes';

export const POST = endpoint(api.keepOutcome, (tenant, { params, body }) =>
  keepOutcome(tenant, params.id, body),
);
