import { api } from '@/api/contract';
import { endpoint } from '@/server/http/endpoint';
import { readToday } from '@/server/services/today';

export const GET = endpoint(api.today, readToday);
