import { api } from '@/api/contract';
import { endpoint } from '@/server/http/endpoint';
import { listHouseRules, saveHouseRules } from '@/server/services/knowledge';

export const GET = endpoint(api.houseRules, (tenant) => listHouseRules(tenant));
export const POST = endpoint(api.saveHouseRules, (tenant, { body }) => saveHouseRules(tenant, body));
