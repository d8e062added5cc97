import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { startVisit } from '@/server/services/visits/visits';

export const POST = endpoint(api.startVisit, (tenant, { params }) => startVisit(tenant, params.id));
