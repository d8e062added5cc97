import { api } from '@/contract/contract';
import { readingEndpoint } from '@/server/http/endpoint';
import { readInsights } from '@/server/services/insights/pairs';

export const GET = readingEndpoint(api.insights, (tenant, { query }) => readInsights(tenant, query));
