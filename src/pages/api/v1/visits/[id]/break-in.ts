import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { previewBreakIn } from '@/server/services/visits/break-in-preview';

export const POST = endpoint(api.previewBreakIn, (tenant, { params, body }) =>
  previewBreakIn(tenant, params.id, body),
);
