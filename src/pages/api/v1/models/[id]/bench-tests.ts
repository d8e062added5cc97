import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { today } from '@/server/services/clock';
import { recordBenchTest } from '@/server/services/shoes/models';

export const POST = endpoint(api.benchTest, (tenant, { params, body }) =>
  recordBenchTest(tenant, params.id, body, today()),
);
