import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { readParts } from '@/server/services/shoes/catalogue-versions';

export const GET = endpoint(api.catalogueParts, readParts);
