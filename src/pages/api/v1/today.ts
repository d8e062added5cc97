import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { readToday } from '@/server/services/patients/today';

export const GET = endpoint(api.today, (tenant, { query }) => readToday(tenant, query.site ?? null));
