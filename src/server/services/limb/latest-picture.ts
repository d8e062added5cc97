import { clinicalPicture } from '@/core/examination/clinical-picture';
import { mergeFindings } from '@/core/findings/merge';
import type { ClinicalPicture } from '@/core/findings/picture';
import { carriedOver, examinedAt } from '@/core/visit/earlier-visit';
import { contentsOf } from '@/core/visit/held';
import type { Tenant } from '../../database/tenant';
import { withFolded } from '../patients/duplicates';
import { recordOf } from '../visits/visit-steps';

/** Visits that are looked through for what was found last. */
const LOOKED_THROUGH = 3;

/** What the latest visits found of a person, open or closed: the latest as it is, what still holds of those before. */
export async function latestPicture(tenant: Tenant, patientId: string): Promise<ClinicalPicture> {
  const visits = await tenant.tx
    .selectFrom('visit')
    .select('id')
    .where('patient_id', 'in', await withFolded(tenant, patientId))
    .orderBy('started_at', 'desc')
    .limit(LOOKED_THROUGH)
    .execute();
  if (visits.length === 0) return clinicalPicture({});
  const rows = await tenant.tx
    .selectFrom('visit_step')
    .select(['visit_id', 'step', 'state', 'revision', 'content', 'saved_at'])
    .where(
      'visit_id',
      'in',
      visits.map(({ id }) => id),
    )
    .execute();
  const found = visits.flatMap(({ id }) => {
    const steps = rows.filter(({ visit_id }) => visit_id === id);
    return examinedAt(contentsOf(steps.map((step) => recordOf({ ...step, saved_by: null })))) ?? [];
  });
  const [latest, ...before] = found;
  return clinicalPicture(latest ? mergeFindings([...before.map(carriedOver).toReversed(), latest]) : {});
}
