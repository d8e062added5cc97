import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { reopenPatient } from '@/server/services/patients/retention';

export const POST = endpoint(api.reopenPatient, (tenant, { params }) => reopenPatient(tenant, params.id));
