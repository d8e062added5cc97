import { api } from '@/api/contract';
import { endpoint } from '@/server/http/endpoint';
import { changeClinic } from '@/server/services/clinic';

export const PATCH = endpoint(api.changeClinic, (tenant, { body }) => changeClinic(tenant, body));
