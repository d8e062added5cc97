import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { nudge } from '@/server/jobs/jobs';
import { endPair } from '@/server/services/pairs/pair-log';

export const POST = endpoint(api.endPair, async (tenant, { params, body }) => {
  const ended = await endPair(tenant, params.id, body);
  nudge('pairs');
  return ended;
});
