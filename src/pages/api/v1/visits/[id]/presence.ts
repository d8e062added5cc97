import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { notePresence } from '@/server/services/visits/visits';

export const POST = endpoint(api.presence, (tenant, { params, body }) =>
  notePresence(tenant, params.id, body.step),
);
