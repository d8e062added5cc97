import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { replayIssued } from '@/server/services/knowledge/knowledge';

export const GET = endpoint(api.replay, (tenant, { params }) => replayIssued(tenant, params.id));
