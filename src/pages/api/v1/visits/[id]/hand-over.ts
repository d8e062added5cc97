import { api } from '@/api/contract';
import { endpoint } from '@/server/http/endpoint';
import { handOver } from '@/server/services/hand-over';

export const POST = endpoint(api.handOver, (tenant, { params, body }) => handOver(tenant, params.id, body));
