import { api } from '@/api/contract';
import { endpoint } from '@/server/http/endpoint';
import { calculateWhatIf } from '@/server/services/calculations';

export const POST = endpoint(api.whatIf, (tenant, { body }) => calculateWhatIf(tenant, body));
