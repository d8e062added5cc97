import type { PatientSheet } from '@/core/aftercare/patient-sheet';
import { clinicalPicture } from '@/core/examination/clinical-picture';
import { homeView } from '@/core/home/view';
import type { HomeView } from '@/core/home/view-schema';
import { prostheticFootOf } from '@/core/prosthesis/on-this-foot';
import type { HomeCaller } from '../../auth/home-link';
import type { Tenant } from '../../database/tenant';
import { today } from '../clock';
import { latestPicture } from '../limb/latest-picture';
import { readSockDay } from '../limb/limb';
import { readBreakIn } from '../pairs/break-in';
import { foldedInto } from '../patients/duplicates';
import { patientRow } from '../patients/patient-row';
import { readClinic } from '../people/clinic';
import { wordsFor } from '../people/texts';

/** Pairs that a page shows at most, the newest. */
const MOST_PAIRS = 4;

/** Whose page a link opens: a record that was folded into another leads to that one. */
export const patientOfLink = async (tenant: Tenant, patientId: string): Promise<string> =>
  (await foldedInto(tenant, patientId)) ?? patientId;

/** The patient’s own page, and the sheets that its drawings are made from. */
export async function readHomePage(
  tenant: Tenant,
  { linkId, patientId: linked }: Pick<HomeCaller, 'linkId' | 'patientId'>,
  /** Local moment of the phone; null where it did not say. */
  localNow: string | null = null,
): Promise<{ view: HomeView; sheets: { pair: string; sheet: PatientSheet }[] }> {
  const { tx } = tenant;
  const patientId = await patientOfLink(tenant, linked);
  const patient = await patientRow(tenant, patientId);
  const clinic = await readClinic(tenant);
  const rows = await tx
    .selectFrom('hand_over')
    .innerJoin('pair', (join) =>
      join.onRef('pair.id', '=', 'hand_over.pair_id').onRef('pair.clinic_id', '=', 'hand_over.clinic_id'),
    )
    .innerJoin('specification', (join) =>
      join
        .onRef('specification.id', '=', 'hand_over.specification_id')
        .onRef('specification.clinic_id', '=', 'hand_over.clinic_id'),
    )
    .select(['pair.id', 'sheet', 'specification.picture'])
    .where('hand_over.patient_id', '=', patientId)
    .where('pair.ended_on', 'is', null)
    .orderBy('handed_over_at', 'desc')
    .limit(MOST_PAIRS)
    .execute();
  const pairs = [];
  for (const { id, sheet } of rows) pairs.push({ id, sheet, breakIn: await readBreakIn(tenant, id) });
  const { language, house } = await wordsFor(tenant, patient.language);
  const now = new Date();
  const wearsLimb = prostheticFootOf(await latestPicture(tenant, patientId)) !== null;
  const view = homeView({
    link: linkId,
    language,
    house,
    patient: patient.given_name,
    clinic: clinic.name,
    phone: clinic.phone,
    picture: rows[0] ? clinicalPicture(rows[0].picture) : null,
    limb: wearsLimb ? await readSockDay(tenant, patientId, localNow ?? now.toISOString().slice(0, 16)) : null,
    pairs,
    today: today(now),
    madeAt: now.toISOString(),
  });
  return { view, sheets: rows.map(({ id, sheet }) => ({ pair: id, sheet })) };
}
