import { api } from '@/contract/contract';
import { knowledgeOf } from '@/core/knowledge/house-rules';
import { endpoint } from '@/server/http/endpoint';
import { readProposals } from '@/server/services/insights/pairs';
import { readHouseRules } from '@/server/services/knowledge/in-force';
import { ruleUse } from '@/server/services/knowledge/knowledge';

export const GET = endpoint(api.knowledge, async (tenant) => {
  const house = await readHouseRules(tenant);
  const use = await ruleUse(tenant);
  // A lead alone may act on them, and they open every pair.
  const proposals = tenant.actor.role === 'lead' ? await readProposals(tenant, use, house) : [];
  return { ...knowledgeOf(house), use, proposals };
});
