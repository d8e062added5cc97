import type { Tenant } from '../../database/tenant';

/** A pair was retired: what was learned is learned anew at the next run. */
export async function lifeIsStale({ tx }: Tenant): Promise<void> {
  await tx.updateTable('clinic_life').set({ stale: true }).execute();
}

/** What is retired from here on makes it stale again. */
export async function lifeIsBeingLearned({ tx }: Tenant): Promise<void> {
  await tx.updateTable('clinic_life').set({ stale: false }).execute();
}

/**
 * What every forecast rests on changed: each is worked out anew at the next run. A pair that somebody is logging at this moment is
 * passed over, so that neither waits for the other: its turn comes with its own event, or in the night.
 */
export async function forecastsAreStale({ tx }: Tenant): Promise<void> {
  await tx
    .updateTable('pair')
    .set({ forecast_on: null })
    .where('id', 'in', (eb) =>
      eb.selectFrom('pair').select('id').where('ended_on', 'is', null).forNoKeyUpdate().skipLocked(),
    )
    .execute();
}
