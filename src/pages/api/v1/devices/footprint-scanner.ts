import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { scannedFootprint } from '@/server/services/visits/devices';

export const GET = endpoint(api.footprintScanner, async (_, { query }) => scannedFootprint(query));
