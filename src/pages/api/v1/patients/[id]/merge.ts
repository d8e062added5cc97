import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { mergePatients } from '@/server/services/patients/duplicates';

export const POST = endpoint(api.mergePatients, (tenant, { params, body }) =>
  mergePatients(tenant, params.id, body.folded),
);
