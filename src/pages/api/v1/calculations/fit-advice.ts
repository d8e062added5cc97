import { api } from '@/api/contract';
import { endpoint } from '@/server/http/endpoint';
import { adviseOnFit } from '@/server/services/candidates';

export const POST = endpoint(api.fitAdvice, (tenant, { body }) => adviseOnFit(tenant, body));
