import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { calculateWhatIf } from '@/server/services/visits/calculations';

export const POST = endpoint(api.whatIf, (tenant, { body }) => calculateWhatIf(tenant, body));
