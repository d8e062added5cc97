import { api } from '@/contract/contract';
import { fileResponse, heavy } from '@/server/heavy/heavy';
import { endpointWithoutRecords } from '@/server/http/endpoint';

export const GET = endpointWithoutRecords(api.tableCamera, async ({ query }) =>
  fileResponse(await heavy('tableCamera', query)),
);
