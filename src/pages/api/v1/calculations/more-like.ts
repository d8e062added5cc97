import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { moreLike } from '@/server/services/shoes/candidates';

export const POST = endpoint(api.moreLike, (tenant, { body }) => moreLike(tenant, body));
