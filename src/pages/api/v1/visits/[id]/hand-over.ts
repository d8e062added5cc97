import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { handOver } from '@/server/services/visits/hand-over';

export const POST = endpoint(api.handOver, (tenant, { params, body }) => handOver(tenant, params.id, body));
