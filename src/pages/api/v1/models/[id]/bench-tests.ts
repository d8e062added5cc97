import { api } from '@/api/contract';
import { endpoint } from '@/server/http/endpoint';
import { recordBenchTest } from '@/server/services/models';
import { today } from '@/server/services/pairs';

export const POST = endpoint(api.benchTest, (tenant, { params, body }) =>
  recordBenchTest(tenant, params.id, body, today()),
);
