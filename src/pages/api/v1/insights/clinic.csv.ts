import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { clinicInsightsAsCsv } from '@/server/services/insights/guesses';

export const GET = endpoint(api.clinicInsightsCsv, (tenant, { query }) => clinicInsightsAsCsv(tenant, query));
