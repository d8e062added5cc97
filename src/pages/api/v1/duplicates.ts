import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { listDuplicates } from '@/server/services/patients/duplicates';

export const GET = endpoint(api.duplicates, listDuplicates);
