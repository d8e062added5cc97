import { api } from '@/api/contract';
import { endpoint } from '@/server/http/endpoint';
import { readVisit } from '@/server/services/visits';

export const GET = endpoint(api.visit, (tenant, { params }) => readVisit(tenant, params.id));
