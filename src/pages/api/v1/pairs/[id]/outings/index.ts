import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { answerOuting } from '@/server/services/pairs/break-in';

export const POST = endpoint(api.answerOuting, (tenant, { params, body }) =>
  answerOuting(tenant, params.id, body),
);
