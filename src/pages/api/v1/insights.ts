import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { readInsights } from '@/server/services/insights/pairs';

export const GET = endpoint(api.insights, (tenant, { query }) => readInsights(tenant, query));
