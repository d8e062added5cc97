import { isMuchSofter } from '@/core/break-in/change';
import { breakInFor } from '@/core/break-in/for-patient';
import { type BreakInInput, planBreakIn } from '@/core/break-in/plan';
import type { BreakInSchool } from '@/core/break-in/schools';
import { categoryOfPerson } from '@/core/examination/at-risk-category';
import type { ClinicalPicture } from '@/core/findings/picture';
import type { TryOn } from '@/core/fitting/try-on';
import type { FeatureValues } from '@/core/shoe/features';
import type { StepContents, VisitContents } from '@/core/visit/contents';
import { CLOCK_OF_USE, madeForUse } from '@/core/wear/clocks';
import type { Tenant } from '../../database/tenant';
import { listPairs } from './pair-records';

interface NewPair {
  patientId: string;
  /** What the visit's steps hold. */
  contents: VisitContents;
  picture: ClinicalPicture;
  startedOn: string;
  features: FeatureValues;
  tryOn: TryOn;
  /** What the hand-over says of it. */
  input: Pick<StepContents['hand-over'], 'weeklyKm' | 'weeklyUse' | 'breakIn'>;
  /** How the clinic breaks pairs in where nothing else is said. */
  school: BreakInSchool;
}

/** Use a week in the unit of the pair's clock, as the hand-over says it, else as the patient told it. */
export function weeklyUse(
  features: FeatureValues,
  { weeklyKm, weeklyUse: stated }: NewPair['input'],
  { body }: ClinicalPicture,
): { inKm: boolean; weekly: number | null } {
  const inKm = CLOCK_OF_USE[madeForUse(features)] === 'km';
  const told = typeof body.weeklyDistance === 'number' ? body.weeklyDistance : null;
  return { inKm, weekly: inKm ? (weeklyKm ?? told) : (stated ?? null) };
}

/** How a new pair is broken in, from the patient's own week, events and the pair of the same use that was worn until now. */
export async function breakInOf(
  tenant: Tenant,
  { patientId, contents, picture, startedOn, features, tryOn, input: said, school }: NewPair,
): Promise<{ input: BreakInInput; plan: ReturnType<typeof planBreakIn>; isMuchSofter: boolean }> {
  const before = (await listPairs(tenant, { patientId }))
    .filter(
      ({ startedOn: since, endedOn }) => since < startedOn && (endedOn === null || endedOn >= startedOn),
    )
    .find(({ model }) => madeForUse(model.features) === madeForUse(features));
  const brought = contents['old-pair']?.pairs?.find(({ use }) => use === madeForUse(features));
  const week = await tenant.tx
    .selectFrom('week_plan')
    .select('sessions')
    .where('patient_id', '=', patientId)
    .executeTakeFirst();
  const from = before?.model.features ?? brought?.values ?? null;
  const input = breakInFor({
    picture,
    category: categoryOfPerson(picture),
    startOn: startedOn,
    to: features,
    from,
    newInsert:
      (tryOn.insert === 'own' || tryOn.insert === 'flat') &&
      brought !== undefined &&
      (brought.insert ?? 'none') === 'none',
    weekly: weeklyUse(features, said, picture).weekly,
    sessions: week?.sessions ?? [],
    events: contents.ask?.events ?? [],
    school: said.breakIn ?? school,
    oldLeft:
      before && before.forecast.used !== null
        ? Math.max(0, before.forecast.life.q50 - before.forecast.used)
        : null,
  });
  return { input, plan: planBreakIn(input), isMuchSofter: from !== null && isMuchSofter(from, features) };
}
