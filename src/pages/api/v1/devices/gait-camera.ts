import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { filmedFrame } from '@/server/services/visits/devices';

export const GET = endpoint(api.gaitCamera, async (_, { query }) => filmedFrame(query));
