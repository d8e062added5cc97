import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { changeClinic } from '@/server/services/people/clinic';

export const PATCH = endpoint(api.changeClinic, (tenant, { body }) => changeClinic(tenant, body));
