import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { changeModel, readModel } from '@/server/services/shoes/models';

export const GET = endpoint(api.model, (tenant, { params }) => readModel(tenant, params.id));
export const PATCH = endpoint(api.changeModel, (tenant, { params, body }) =>
  changeModel(tenant, params.id, body),
);
