import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { writeLetters } from '@/server/services/recall/letters';

export const POST = endpoint(api.writeLetters, (tenant, { body }) => writeLetters(tenant, body));
