import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { insightsAsCsv } from '@/server/services/insights/pairs';

export const GET = endpoint(api.insightsCsv, (tenant, { query }) => insightsAsCsv(tenant, query));
