import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { erasePatient } from '@/server/services/patients/one-person';

export const POST = endpoint(api.erasePatient, (tenant, { params, body }) =>
  erasePatient(tenant, params.id, body),
);
