import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { listLanguages } from '@/server/services/people/texts';

export const GET = endpoint(api.languages, (tenant) => listLanguages(tenant));
