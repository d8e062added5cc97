import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { compareSchoolsFor } from '@/server/services/visits/calculations';

export const POST = endpoint(api.comparison, (tenant, { body }) => compareSchoolsFor(tenant, body));
