import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { noteSocks } from '@/server/services/limb/socks';

export const POST = endpoint(api.noteSocks, (tenant, { params, body }) => noteSocks(tenant, params.id, body));
