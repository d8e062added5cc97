import { api } from '@/api/contract';
import { endpoint } from '@/server/http/endpoint';
import { rankCandidates } from '@/server/services/candidates';

export const POST = endpoint(api.candidates, (tenant, { body }) => rankCandidates(tenant, body));
