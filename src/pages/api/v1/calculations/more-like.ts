import { api } from '@/api/contract';
import { endpoint } from '@/server/http/endpoint';
import { moreLike } from '@/server/services/candidates';

export const POST = endpoint(api.moreLike, (tenant, { body }) => moreLike(tenant, body));
