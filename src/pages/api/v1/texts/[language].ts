import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { changeTexts, readTexts } from '@/server/services/people/texts';

export const GET = endpoint(api.texts, (tenant, { params }) => readTexts(tenant, params.language));

export const PATCH = endpoint(api.changeTexts, (tenant, { params, body }) =>
  changeTexts(tenant, params.language, body.texts),
);
