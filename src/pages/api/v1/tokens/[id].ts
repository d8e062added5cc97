import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { removeToken } from '@/server/services/people/tokens';

export const DELETE = endpoint(api.removeToken, (tenant, { params }) => removeToken(tenant, params.id));
