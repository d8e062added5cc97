import { api } from '@/contract/contract';
import { audit } from '@/server/database/tenant';
import { endpoint } from '@/server/http/endpoint';
import { readWeek, saveWeek } from '@/server/services/pairs/week';

export const GET = endpoint(api.week, async (tenant, { params }) => {
  const found = await readWeek(tenant, params.id);
  await audit(tenant, 'read', 'plan of the week', params.id);
  return found;
});
export const PUT = endpoint(api.saveWeek, (tenant, { params, body }) => saveWeek(tenant, params.id, body));
