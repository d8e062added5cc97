import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { readLearned } from '@/server/services/shoes/catalogue-parts';

export const GET = endpoint(api.learnedFits, (tenant, { params }) => readLearned(tenant, params.version));
