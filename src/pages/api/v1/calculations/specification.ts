import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { calculateSpecification } from '@/server/services/visits/calculations';

export const POST = endpoint(api.specification, (tenant, { body }) => calculateSpecification(tenant, body));
