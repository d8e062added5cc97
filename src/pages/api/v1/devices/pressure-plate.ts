import { api } from '@/contract/contract';
import { fileResponse, heavy } from '@/server/heavy/heavy';
import { endpoint } from '@/server/http/endpoint';

export const GET = endpoint(api.pressurePlate, async (_, { query }) =>
  fileResponse(await heavy('pressurePlate', query)),
);
