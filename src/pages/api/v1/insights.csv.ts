import { api } from '@/contract/contract';
import { readingEndpoint } from '@/server/http/endpoint';
import { insightsAsCsv } from '@/server/services/insights/pairs';

export const GET = readingEndpoint(api.insightsCsv, (tenant, { query }) => insightsAsCsv(tenant, query));
