import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { closedPatients } from '@/server/services/patients/retention';

export const GET = endpoint(api.closedPatients, closedPatients);
