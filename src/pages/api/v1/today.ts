import { api } from '@/contract/contract';
import { FIRST_OF_A_KIND, MOST_OF_A_KIND } from '@/core/recall/kinds';
import { rememberingEndpoint } from '@/server/http/endpoint';
import { recallOf } from '@/server/services/recall/remembered';

export const GET = rememberingEndpoint(api.today, async (actor, { query: { site = null, kind } }) => [
  ...(await recallOf(
    actor,
    kind === undefined ? { site, most: FIRST_OF_A_KIND } : { site, kinds: [kind], most: MOST_OF_A_KIND },
  )),
]);
