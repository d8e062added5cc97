import { api } from '@/contract/contract';
import { sockStack } from '@/core/prosthesis/sock-stack';
import { endpoint } from '@/server/http/endpoint';
import { valueOrRefusal } from '@/server/http/problem';

export const POST = endpoint(api.socks, async (_, { body }) =>
  valueOrRefusal(sockStack(body.inventory, body.wantedPly, body.needsHole)),
);
