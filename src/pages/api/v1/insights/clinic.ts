import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { readClinicInsights } from '@/server/services/insights/guesses';

export const GET = endpoint(api.clinicInsights, (tenant, { query }) =>
  readClinicInsights(tenant, query.least),
);
