import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { withdrawConsent } from '@/server/services/patients/consents';

export const POST = endpoint(api.withdrawConsent, (tenant, { params, body }) =>
  withdrawConsent(tenant, params.id, body.on),
);
