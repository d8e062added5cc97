import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { addConsent, listConsents } from '@/server/services/patients/consents';
import { patientRow } from '@/server/services/patients/patient-row';

export const GET = endpoint(api.consents, async (tenant, { params }) => {
  await patientRow(tenant, params.id);
  return listConsents(tenant, params.id);
});
export const POST = endpoint(api.addConsent, (tenant, { params, body }) =>
  addConsent(tenant, params.id, body),
);
