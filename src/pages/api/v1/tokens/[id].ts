import { api } from '@/api/contract';
import { endpoint } from '@/server/http/endpoint';
import { removeToken } from '@/server/services/tokens';

export const DELETE = endpoint(api.removeToken, (tenant, { params }) => removeToken(tenant, params.id));
