import type { SignStrengths } from '@/core/signs/signs';
import type { Tenant } from '../../database/tenant';

/** How strongly this clinic takes each sign of a worn pair, by the house rules in force; undefined: as they stand. */
export async function signStrengthsOf({ tx }: Tenant): Promise<SignStrengths | undefined> {
  const row = await tx
    .selectFrom('house_rules')
    .select('settings')
    .orderBy('version', 'desc')
    .limit(1)
    .executeTakeFirst();
  return row?.settings.signStrengths;
}
