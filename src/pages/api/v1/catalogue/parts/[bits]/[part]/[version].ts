import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { readPart } from '@/server/services/shoes/catalogue-parts';

export const GET = endpoint(api.cataloguePart, (tenant, { params }) => readPart(tenant, params));
