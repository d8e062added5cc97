import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { readModelLife } from '@/server/services/pairs/model-life';

export const GET = endpoint(api.modelLife, (tenant, { params }) => readModelLife(tenant, params.id));
