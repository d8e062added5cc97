import { api } from '@/api/contract';
import { endpoint } from '@/server/http/endpoint';
import { scannedFootprint } from '@/server/services/devices';

export const GET = endpoint(api.footprintScanner, async (_, { query }) => scannedFootprint(query));
