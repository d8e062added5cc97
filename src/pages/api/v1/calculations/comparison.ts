import { api } from '@/api/contract';
import { endpoint } from '@/server/http/endpoint';
import { compareSchoolsFor } from '@/server/services/calculations';

export const POST = endpoint(api.comparison, (tenant, { body }) => compareSchoolsFor(tenant, body));
