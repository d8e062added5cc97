import { authDatabase } from '../../database/connection';
import { asTenant } from '../../database/tenant';
import { log } from '../../http/log';
import { readClinic } from '../people/clinic';
import { caretaker } from './caretaker';
import { refreshForecasts } from './forecasts';
import { keepLearned, learn, livesAreDue, toLearn } from './learned-lives';
import { lifeIsBeingLearned, lifeIsStale } from './stale';

/** Forecasts that one transaction works out: the server answers others in between. */
const AT_ONCE = 100;

/** Learns the lives of one clinic's pairs where that is due, and brings every forecast up to today. */
export async function careForPairs(clinicId: string): Promise<{ learned: boolean; refreshed: number }> {
  const actor = caretaker(clinicId);
  const due = await asTenant(actor, async (tenant) => {
    if (!(await livesAreDue(tenant))) return null;
    const { lifeSchool } = await readClinic(tenant);
    await lifeIsBeingLearned(tenant);
    return { school: lifeSchool, ...(await toLearn(tenant, lifeSchool)) };
  });
  if (due) {
    try {
      const learned = await learn(due.asked);
      await asTenant(actor, (tenant) => keepLearned(tenant, due.school, due.ids, learned));
    } catch (error) {
      // It is tried again at the next run, not in a day.
      await asTenant(actor, lifeIsStale);
      throw error;
    }
  }
  let refreshed = 0;
  for (;;) {
    const { size: many } = await asTenant(actor, (tenant) => refreshForecasts(tenant, { outdated: AT_ONCE }));
    refreshed += many;
    if (many < AT_ONCE) return { learned: due !== null, refreshed };
  }
}

/** Cares for the pairs of every clinic; one clinic's trouble does not keep the others waiting. */
export async function careForAllPairs(): Promise<void> {
  const { rows } = await authDatabase().query<{ clinic_id: string }>('select clinic_id from public.clinic');
  for (const { clinic_id } of rows)
    try {
      const done = await careForPairs(clinic_id);
      if (done.learned || done.refreshed > 0) log.info({ clinic: clinic_id, ...done }, 'pairs cared for');
    } catch (error) {
      log.warn({ err: error, clinic: clinic_id }, 'pairs could not be cared for; tried again');
    }
}
