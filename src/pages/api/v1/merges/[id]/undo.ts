import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { undoMerge } from '@/server/services/patients/duplicates';

export const POST = endpoint(api.undoMerge, (tenant, { params }) => undoMerge(tenant, params.id));
