import { api } from '@/api/contract';
import { endpoint } from '@/server/http/endpoint';
import { filmedFrame } from '@/server/services/devices';

export const GET = endpoint(api.gaitCamera, async (_, { query }) => filmedFrame(query));
