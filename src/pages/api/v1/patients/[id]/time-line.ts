import { api } from '@/contract/contract';
import { audit } from '@/server/database/tenant';
import { endpoint } from '@/server/http/endpoint';
import { readTimeLine } from '@/server/services/pairs/time-line';

export const GET = endpoint(api.timeLine, async (tenant, { params }) => {
  const found = await readTimeLine(tenant, params.id);
  await audit(tenant, 'read', 'time line', params.id);
  return found;
});
