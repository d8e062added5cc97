import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { addSite, listSites } from '@/server/services/people/sites';

export const GET = endpoint(api.sites, listSites);
export const POST = endpoint(api.addSite, (tenant, { body }) => addSite(tenant, body));
