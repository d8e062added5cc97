import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { nudge } from '@/server/jobs/jobs';
import { changeClinic } from '@/server/services/people/clinic';

export const PATCH = endpoint(api.changeClinic, async (tenant, { body }) => {
  const changed = await changeClinic(tenant, body);
  if (body.lifeSchool || body.bringIn) nudge('pairs');
  return changed;
});
