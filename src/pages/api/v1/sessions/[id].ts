import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { endSession } from '@/server/services/people/sessions';

export const DELETE = endpoint(api.endSession, (tenant, { params }) => endSession(tenant, params.id));
