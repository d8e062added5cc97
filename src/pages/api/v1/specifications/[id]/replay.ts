import { api } from '@/api/contract';
import { endpoint } from '@/server/http/endpoint';
import { replayIssued } from '@/server/services/knowledge';

export const GET = endpoint(api.replay, (tenant, { params }) => replayIssued(tenant, params.id));
