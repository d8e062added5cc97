import { LRUCache } from 'lru-cache';
import { type HouseRules, NO_HOUSE_RULES } from '@/core/knowledge/house-rules';
import { oncePerTransaction } from '../../database/once';

/** A version is never changed once it is in force: what was worked out from it is kept with it. */
const kept = new LRUCache<string, HouseRules>({ max: 500 });

/** The house rules in force. */
export const readHouseRules = oncePerTransaction<HouseRules>(async ({ tx, actor }) => {
  const row = await tx
    .selectFrom('house_rules')
    .select(['version', 'changes', 'settings'])
    .orderBy('version', 'desc')
    .limit(1)
    .executeTakeFirst();
  if (!row) return NO_HOUSE_RULES;
  const key = `${actor.clinicId} ${row.version}`;
  const rules = kept.get(key) ?? row;
  kept.set(key, rules);
  return rules;
});
