import { isMuchSofter } from '@/core/break-in/change';
import { breakInFor } from '@/core/break-in/for-patient';
import { type BreakInInput, planBreakIn } from '@/core/break-in/plan';
import type { BreakInSchool } from '@/core/break-in/schools';
import type { AtRiskCategory } from '@/core/examination/at-risk-category';
import type { ClinicalPicture } from '@/core/findings/picture';
import type { FeatureValues } from '@/core/shoe/features';
import { contentsOf } from '@/core/visit/held';
import { madeForUse } from '@/core/wear/clocks';
import type { Tenant } from '../../database/tenant';
import { stepsOf } from '../visits/visit-steps';
import { listPairs } from './pair-records';

interface NewPair {
  patientId: string;
  visitId: string;
  picture: ClinicalPicture;
  category: AtRiskCategory | null;
  startedOn: string;
  features: FeatureValues;
  weekly: number | null;
  school: BreakInSchool;
  insertIsIn: boolean;
}

/** How a new pair is broken in, from the patient's own week, events and the pair of the same use that was worn until now. */
export async function breakInOf(
  tenant: Tenant,
  { patientId, visitId, picture, category, startedOn, features, weekly, school, insertIsIn }: NewPair,
): Promise<{ input: BreakInInput; plan: ReturnType<typeof planBreakIn>; isMuchSofter: boolean }> {
  const steps = contentsOf(await stepsOf(tenant, visitId));
  const before = (await listPairs(tenant, { patientId }))
    .filter(
      ({ startedOn: since, endedOn }) => since < startedOn && (endedOn === null || endedOn >= startedOn),
    )
    .find(({ model }) => madeForUse(model.features) === madeForUse(features));
  const brought = steps['old-pair']?.pairs?.find(({ use }) => use === madeForUse(features));
  const week = await tenant.tx
    .selectFrom('week_plan')
    .select('sessions')
    .where('patient_id', '=', patientId)
    .executeTakeFirst();
  const from = before?.model.features ?? brought?.values ?? null;
  const input = breakInFor({
    picture,
    category,
    startOn: startedOn,
    to: features,
    from,
    newInsert: insertIsIn && brought !== undefined && (brought.insert ?? 'none') === 'none',
    weekly,
    sessions: week?.sessions ?? [],
    events: steps.ask?.events ?? [],
    school,
    oldLeft:
      before && before.forecast.used !== null
        ? Math.max(0, before.forecast.life.q50 - before.forecast.used)
        : null,
  });
  return { input, plan: planBreakIn(input), isMuchSofter: from !== null && isMuchSofter(from, features) };
}
