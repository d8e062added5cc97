import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { noteTry } from '@/server/services/recall/tries';

export const POST = endpoint(api.noteTry, (tenant, { params, body }) => noteTry(tenant, params.id, body));
