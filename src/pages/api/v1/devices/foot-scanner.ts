import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { scannedFoot } from '@/server/services/visits/devices';

export const GET = endpoint(api.footScanner, async (_, { query }) => scannedFoot(query));
