import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { changePatient, readPatient } from '@/server/services/patients/patients';

export const GET = endpoint(api.patient, (tenant, { params }) => readPatient(tenant, params.id));
export const PATCH = endpoint(api.changePatient, (tenant, { params, body }) =>
  changePatient(tenant, params.id, body),
);
