import { api } from '@/contract/contract';
import { knowledgeOf } from '@/core/knowledge/house-rules';
import { endpoint } from '@/server/http/endpoint';
import { readHouseRules, ruleUse } from '@/server/services/knowledge/knowledge';

export const GET = endpoint(api.knowledge, async (tenant) => ({
  ...knowledgeOf(await readHouseRules(tenant)),
  use: await ruleUse(tenant),
}));
