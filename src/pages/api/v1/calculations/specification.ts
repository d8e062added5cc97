import { api } from '@/api/contract';
import { endpoint } from '@/server/http/endpoint';
import { calculateSpecification } from '@/server/services/calculations';

export const POST = endpoint(api.specification, (tenant, { body }) => calculateSpecification(tenant, body));
