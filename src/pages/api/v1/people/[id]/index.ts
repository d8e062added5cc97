import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { changePerson } from '@/server/services/people/colleagues';

export const PATCH = endpoint(api.changePerson, (tenant, { params, body }) =>
  changePerson(tenant, params.id, body),
);
