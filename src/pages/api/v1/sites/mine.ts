import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { chooseSite } from '@/server/services/people/sites';

export const POST = endpoint(api.chooseSite, (tenant, { body }) => chooseSite(tenant, body.site));
