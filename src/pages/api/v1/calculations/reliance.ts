import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { reliance } from '@/server/services/visits/calculations';

export const POST = endpoint(api.reliance, (tenant, { body }) => reliance(tenant, body));
