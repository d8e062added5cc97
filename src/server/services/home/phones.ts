import { homeDigest } from '../../auth/home-link';
import type { Tenant } from '../../database/tenant';

/** Notes that a phone was here. */
export async function phoneSeen({ tx }: Tenant, secret: string): Promise<void> {
  await tx
    .updateTable('home_phone')
    .set({ seen_at: new Date() })
    .where('hash', '=', homeDigest(secret))
    .execute();
}

/** A phone from which the page was removed opens nothing any more. */
export async function removePhone({ tx }: Tenant, secret: string): Promise<void> {
  await tx.deleteFrom('home_phone').where('hash', '=', homeDigest(secret)).execute();
}
