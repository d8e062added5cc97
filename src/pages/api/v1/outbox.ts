import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { readOutbox } from '@/server/services/people/colleagues';

export const GET = endpoint(api.outbox, (tenant, { query }) => readOutbox(tenant, query.after));
