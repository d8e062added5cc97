import { api } from '@/contract/contract';
import { readingEndpoint } from '@/server/http/endpoint';
import { exportTrail } from '@/server/services/people/trail';

export const GET = readingEndpoint(api.audit, (tenant, { query }) => exportTrail(tenant, query));
