import { api } from '@/api/contract';
import { endpoint } from '@/server/http/endpoint';
import { nextQuestions } from '@/server/services/calculations';

export const POST = endpoint(api.nextQuestions, (tenant, { body }) => nextQuestions(tenant, body));
