import { api } from '@/contract/contract';
import { endpoint } from '@/server/http/endpoint';
import { listHouseRules, saveHouseRules } from '@/server/services/knowledge/knowledge';

export const GET = endpoint(api.houseRules, (tenant) => listHouseRules(tenant));
export const POST = endpoint(api.saveHouseRules, (tenant, { body }) => saveHouseRules(tenant, body));
