import { api } from '@/api/contract';
import { endpoint } from '@/server/http/endpoint';
import { listModels } from '@/server/services/models';

export const GET = endpoint(api.models, listModels);
