import { api } from '@/api/contract';
import { endpoint } from '@/server/http/endpoint';
import { changePatient, readPatient } from '@/server/services/patients';

export const GET = endpoint(api.patient, (tenant, { params }) => readPatient(tenant, params.id));
export const PATCH = endpoint(api.changePatient, (tenant, { params, body }) =>
  changePatient(tenant, params.id, body),
);
