import type { Tenant } from '../../database/tenant';

/** A pair was retired: what was learned is learned anew at the next run. */
export async function lifeIsStale({ tx }: Tenant): Promise<void> {
  await tx.updateTable('clinic_life').set({ stale: true }).execute();
}

/** What every forecast rests on changed: each is worked out anew at the next run. */
export async function forecastsAreStale({ tx }: Tenant): Promise<void> {
  await tx.updateTable('pair').set({ forecast_on: null }).where('ended_on', 'is', null).execute();
}
