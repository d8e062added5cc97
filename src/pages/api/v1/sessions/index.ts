import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { listSessions } from '@/server/services/people/sessions';

export const GET = endpoint(api.sessions, (tenant, { sessionId }) => listSessions(tenant, sessionId));
