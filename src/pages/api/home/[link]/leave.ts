import { asTenant } from '@/server/database/tenant';
import { forgetPhone, homeEndpoint } from '@/server/http/home-endpoint';
import { removePhone } from '@/server/services/home/phones';

export const POST = homeEndpoint({}, async (caller, _body, cookies, secret) => {
  await asTenant(caller.actor, (tenant) => removePhone(tenant, secret));
  forgetPhone(cookies, caller.linkId);
  return {};
});
