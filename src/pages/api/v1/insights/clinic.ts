import { api } from '@/contract/contract';
import { readingEndpoint } from '@/server/http/endpoint';
import { readClinicInsights } from '@/server/services/insights/guesses';

export const GET = readingEndpoint(api.clinicInsights, (tenant, { query }) =>
  readClinicInsights(tenant, query.least),
);
