import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { erasePast } from '@/server/services/patients/retention';

export const POST = endpoint(api.erasePast, (tenant, { body }) =>
  erasePast(tenant, body.retention, body.count),
);
