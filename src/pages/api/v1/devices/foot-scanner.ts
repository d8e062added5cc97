import { api } from '@/api/contract';
import { endpoint } from '@/server/http/endpoint';
import { scannedFoot } from '@/server/services/devices';

export const GET = endpoint(api.footScanner, async (_, { query }) => scannedFoot(query));
