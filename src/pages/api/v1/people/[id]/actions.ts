import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { actOnPerson } from '@/server/services/people/colleagues';

export const POST = endpoint(api.actOnPerson, (tenant, { params, body }) =>
  actOnPerson(tenant, params.id, body.action),
);
