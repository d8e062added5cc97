import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { readRecall } from '@/server/services/recall/recall';

export const GET = endpoint(api.today, (tenant, { query }) =>
  readRecall(tenant, { site: query.site ?? null }),
);
