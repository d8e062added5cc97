import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { exportPatient } from '@/server/services/patients/one-person';

export const GET = endpoint(api.exportPatient, (tenant, { params }) => exportPatient(tenant, params.id));
