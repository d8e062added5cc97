import { api } from '@/api/contract';
import { endpoint } from '@/server/http/endpoint';
import { reliance } from '@/server/services/calculations';

export const POST = endpoint(api.reliance, (tenant, { body }) => reliance(tenant, body));
