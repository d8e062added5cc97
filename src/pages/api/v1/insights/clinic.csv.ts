import { api } from '@/contract/contract';
import { readingEndpoint } from '@/server/http/endpoint';
import { clinicInsightsAsCsv } from '@/server/services/insights/guesses';

export const GET = readingEndpoint(api.clinicInsightsCsv, (tenant, { query }) =>
  clinicInsightsAsCsv(tenant, query),
);
