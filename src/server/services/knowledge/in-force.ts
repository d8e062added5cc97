import { type HouseRules, NO_HOUSE_RULES } from '@/core/knowledge/house-rules';
import { oncePerTransaction } from '../../database/once';

/** The house rules in force. */
export const readHouseRules = oncePerTransaction<HouseRules>(async ({ tx }) => {
  const row = await tx
    .selectFrom('house_rules')
    .select(['version', 'changes', 'settings'])
    .orderBy('version', 'desc')
    .limit(1)
    .executeTakeFirst();
  return row ? { version: row.version, changes: row.changes, settings: row.settings } : NO_HOUSE_RULES;
});
