import type { StepContents } from '@/api/visit-schema';
import { clinicalPicture } from '@/core/picture/clinical-picture';
import { fittingOf } from '@/core/sizing/learned/fitting-of';
import type { Tenant } from '../database/tenant';
import { findingsOfSteps, merged } from './patient-findings';
import { stepsOf } from './visit-steps';

/**
 * Keeps what the try-ons of a visit teach about their models in step with what is saved: a misfit found here corrects the
 * model's offset for the next patient.
 */
export async function recordFittings(tenant: Tenant, visitId: string): Promise<void> {
  const { tx, actor } = tenant;
  const steps = await stepsOf(tenant, visitId);
  const tried = steps.find(({ step }) => step === 'try-on')?.content as StepContents['try-on'] | undefined;
  const picture = clinicalPicture(merged(findingsOfSteps(steps)));
  const fittings = (tried?.tryOns ?? []).flatMap((tryOn) => fittingOf(tryOn, picture) ?? []);
  const known =
    fittings.length === 0
      ? []
      : await tx
          .selectFrom('shoe_model')
          .select('id')
          .where(
            'id',
            'in',
            fittings.map(({ version }) => version),
          )
          .execute();
  const ids = new Set(known.map(({ id }) => id));
  const rows = fittings
    .filter(({ version }) => ids.has(version))
    .map(({ version, feet }) => ({
      clinic_id: actor.clinicId,
      visit_id: visitId,
      model_id: version,
      feet: JSON.stringify(feet),
    }));
  await tx.deleteFrom('fitting').where('visit_id', '=', visitId).execute();
  if (rows.length > 0) await tx.insertInto('fitting').values(rows).execute();
}
