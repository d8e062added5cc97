import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { saveStep } from '@/server/services/visits/visits';

export const PUT = endpoint(api.saveStep, (tenant, { params, body }) =>
  saveStep(tenant, params.id, params.step, body),
);
