import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { addPatient, findPatients } from '@/server/services/patients/patients';

export const GET = endpoint(api.findPatients, (tenant, { query }) =>
  findPatients(tenant, query.q, query.archived === 'yes', { after: query.after }),
);
export const POST = endpoint(api.addPatient, (tenant, { body }) => addPatient(tenant, body));
