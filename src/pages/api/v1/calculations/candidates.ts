import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { rankCandidates } from '@/server/services/shoes/candidates';

export const POST = endpoint(api.candidates, (tenant, { body }) => rankCandidates(tenant, body));
