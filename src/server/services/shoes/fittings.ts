import { consentState } from '@/core/contact/consent';
import { clinicalPicture } from '@/core/examination/clinical-picture';
import { fitObservationOf } from '@/core/fitting/fit-observation';
import { comfortGuess, type FeltBefore, feltBefore, MOST_FELT_BEFORE } from '@/core/fitting/next-guess';
import { comfortOf } from '@/core/fitting/try-on';
import { feltAt } from '@/core/visit/earlier-visit';
import { findingsOfSteps } from '@/core/visit/examined';
import { contentsOf } from '@/core/visit/held';
import type { Tenant } from '../../database/tenant';
import { notedConsent } from '../patients/consents';
import { recordOf, stepsOf } from '../visits/visit-steps';
import { MODEL_COLUMNS, modelOf } from './model-rows';

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

/** What was felt in pairs at the visits before this one, the latest first. */
async function feltEarlier({ tx }: Tenant, visitId: string): Promise<FeltBefore[]> {
  const rows = await tx
    .selectFrom('visit')
    .innerJoin('visit as earlier', (join) =>
      join
        .onRef('earlier.patient_id', '=', 'visit.patient_id')
        .onRef('earlier.clinic_id', '=', 'visit.clinic_id')
        .onRef('earlier.started_at', '<', 'visit.started_at'),
    )
    .innerJoin('visit_step', (join) =>
      join
        .onRef('visit_step.visit_id', '=', 'earlier.id')
        .onRef('visit_step.clinic_id', '=', 'earlier.clinic_id'),
    )
    .select(['step', 'state', 'revision', 'content', 'visit_step.saved_by', 'saved_at'])
    .where('visit.id', '=', visitId)
    .where('step', '=', 'try-on')
    .orderBy('earlier.started_at', 'desc')
    .limit(MOST_FELT_BEFORE)
    .execute();
  return rows.flatMap((row) => feltAt(contentsOf([recordOf(row)]))).slice(0, MOST_FELT_BEFORE);
}

/**
 * Keeps what the try-ons of a visit teach about their models in step with what is saved: a misfit found here corrects the
 * model's offset for the next patient. Beside each rating stands what was to be expected before it, so that guesses can be
 * held against what came.
 */
export async function recordFittings(tenant: Tenant, visitId: string): Promise<void> {
  const { tx, actor } = tenant;
  const contents = contentsOf(await stepsOf(tenant, visitId));
  const picture = clinicalPicture(...findingsOfSteps(contents));
  const { tryOns = [], withoutEarlier = false } = contents['try-on'] ?? {};
  const taught = tryOns.flatMap((tryOn, at) => {
    const seen = fitObservationOf(tryOn, picture);
    return seen || comfortOf(tryOn) !== null ? [{ tryOn, at, feet: seen?.feet ?? [] }] : [];
  });
  await tx.deleteFrom('fitting').where('visit_id', '=', visitId).execute();
  if (taught.length === 0 || (await learnsNothing(tenant, visitId))) return;
  const before = withoutEarlier ? [] : await feltEarlier(tenant, visitId);
  const models = new Map(
    (
      await tx
        .selectFrom('shoe_model')
        .select([...MODEL_COLUMNS, 'id'])
        .where('id', 'in', [...new Set([...tryOns, ...before].map(({ model }) => model))])
        .execute()
    ).map((row) => [row.id, modelOf(row)]),
  );
  const rows = taught.flatMap(({ tryOn, at, feet }) => {
    const model = models.get(tryOn.model);
    if (!model) return [];
    const comfort = comfortOf(tryOn);
    return [
      {
        clinic_id: actor.clinicId,
        visit_id: visitId,
        model_id: model.id,
        feet: JSON.stringify(feet),
        nth: at + 1,
        comfort: comfort === null ? null : Math.round(comfort),
        guess:
          comfort === null
            ? null
            : Math.round(comfortGuess(model, feltBefore(tryOns.slice(0, at)), before, models)),
      },
    ];
  });
  if (rows.length > 0) await tx.insertInto('fitting').values(rows).execute();
}
