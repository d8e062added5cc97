import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { makeHomeLink } from '@/server/services/home/links';
import { readHomeRecord } from '@/server/services/home/reports';
import { patientRow } from '@/server/services/patients/patient-row';

export const GET = endpoint(api.homeOfPatient, async (tenant, { params }) => {
  await patientRow(tenant, params.id);
  return readHomeRecord(tenant, params.id);
});
export const POST = endpoint(api.makeHomeLink, async (tenant, { params, body }) => {
  await makeHomeLink(tenant, params.id, body.days);
  return readHomeRecord(tenant, params.id);
});
