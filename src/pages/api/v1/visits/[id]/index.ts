import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { loadVisit } from '@/server/services/visits/visits';

export const GET = endpoint(api.visit, (tenant, { params }) => loadVisit(tenant, params.id));
