import { api } from '@/contract/contract';
import { wearForecast } from '@/core/wear/forecast';
import { endpoint } from '@/server/http/endpoint';

export const POST = endpoint(api.wear, async (_, { body }) => wearForecast(body));
