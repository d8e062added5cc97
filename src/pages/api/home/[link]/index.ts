import { localMoment } from '@/core/calendar/local-moment';
import type { HomePage } from '@/core/home/view-schema';
import { asTenant } from '@/server/database/tenant';
import { homeEndpoint } from '@/server/http/home-endpoint';
import { readHomePage } from '@/server/services/home/page';
import { phoneSeen } from '@/server/services/home/phones';
import { drawingsOf } from '@/views/sheet/drawings';

export const GET = homeEndpoint({}, async (caller, _body, _cookies, secret, query): Promise<HomePage> => {
  const now = localMoment.safeParse(query.get('now'));
  const { view, sheets } = await asTenant(caller.actor, async (tenant) => {
    await phoneSeen(tenant, secret);
    return readHomePage(tenant, caller, now.data ?? null);
  });
  return {
    view,
    pictures: Object.fromEntries(sheets.map(({ pair, sheet }) => [pair, drawingsOf(sheet)])),
  };
});
