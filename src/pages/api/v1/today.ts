import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { readToday } from '@/server/services/people/today';

export const GET = endpoint(api.today, readToday);
