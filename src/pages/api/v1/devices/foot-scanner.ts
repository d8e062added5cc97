import { api } from '@/contract/contract';
import { fileResponse, heavy } from '@/server/heavy/heavy';
import { endpoint } from '@/server/http/endpoint';

export const GET = endpoint(api.footScanner, async (_, { query }) =>
  fileResponse(await heavy('footScanner', query)),
);
