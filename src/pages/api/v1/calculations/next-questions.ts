import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { nextQuestions } from '@/server/services/visits/calculations';

export const POST = endpoint(api.nextQuestions, (tenant, { body }) => nextQuestions(tenant, body));
