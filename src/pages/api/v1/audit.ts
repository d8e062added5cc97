import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { exportTrail } from '@/server/services/people/trail';

export const GET = endpoint(api.audit, (tenant, { query }) => exportTrail(tenant, query));
