import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { listModels } from '@/server/services/shoes/models';

export const GET = endpoint(api.models, listModels);
