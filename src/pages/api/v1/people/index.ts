import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { invite, listPeople } from '@/server/services/people/colleagues';

export const GET = endpoint(api.people, listPeople);
export const POST = endpoint(api.invite, (tenant, { body }) => invite(tenant, body));
