import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { previewRetention } from '@/server/services/patients/retention';

export const POST = endpoint(api.previewRetention, (tenant, { body }) => previewRetention(tenant, body));
