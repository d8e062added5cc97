import { consentState } from '@/core/contact/consent';
import { clinicalPicture } from '@/core/examination/clinical-picture';
import { fitObservationOf } from '@/core/fitting/fit-observation';
import { contentsOf } from '@/core/visit/held';
import { findingsOfSteps } from '@/core/visit/read-visit';
import type { Tenant } from '../../database/tenant';
import { notedConsent } from '../patients/consents';
import { stepsOf } from '../visits/visit-steps';

/** Whoever took their consent back teaches nothing. */
async function learnsNothing({ tx }: Tenant, visitId: string): Promise<boolean> {
  const noted = await tx
    .selectFrom('consent')
    .innerJoin('visit', 'visit.patient_id', 'consent.patient_id')
    .select(['kind', 'given_on', 'withdrawn_on'])
    .where('visit.id', '=', visitId)
    .where('kind', '=', 'learning')
    .execute();
  return consentState(noted.map(notedConsent), 'learning') === 'withdrawn';
}

/**
 * Keeps what the try-ons of a visit teach about their models in step with what is saved: a misfit found here corrects the
 * model's offset for the next patient.
 */
export async function recordFittings(tenant: Tenant, visitId: string): Promise<void> {
  const { tx, actor } = tenant;
  const contents = contentsOf(await stepsOf(tenant, visitId));
  const picture = clinicalPicture(...findingsOfSteps(contents));
  const fittings = (contents['try-on']?.tryOns ?? []).flatMap(
    (tryOn) => fitObservationOf(tryOn, picture) ?? [],
  );
  const known =
    fittings.length === 0 || (await learnsNothing(tenant, visitId))
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
