import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { adviseOnFit } from '@/server/services/shoes/candidates';

export const POST = endpoint(api.fitAdvice, (tenant, { body }) => adviseOnFit(tenant, body));
