import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { revokeHomeLink } from '@/server/services/home/links';

export const POST = endpoint(api.revokeHomeLink, (tenant, { params }) => revokeHomeLink(tenant, params.id));
