import { type PatientSheet, patientSheet, reviewDay } from '@/core/aftercare/patient-sheet';
import { addDays, ageOn } from '@/core/calendar/days';
import { drawnLengthOf } from '@/core/catalogue/drawing-of-model';
import { modelTitle, type ShoeModel } from '@/core/catalogue/model';
import { type AtRiskCategory, categoryOfPerson } from '@/core/examination/at-risk-category';
import { SIDES } from '@/core/findings/finding-kinds';
import { type ClinicalPicture, numberAt } from '@/core/findings/picture';
import type { TryOn } from '@/core/fitting/try-on';
import { causesFound } from '@/core/hot-spot/found';
import { eyeletsOf } from '@/core/lacing/eyelets';
import type { Modification } from '@/core/modification/modification';
import { RETURN_DAYS } from '@/core/orders/order';
import { gaitOf } from '@/core/outcomes/gait-number';
import type { Specification } from '@/core/prescribe/engine/specification';
import { againOf } from '@/core/repeat/again';
import { omitUndefined } from '@/core/tables/omit-undefined';
import type { StepContents, VisitContents } from '@/core/visit/contents';
import { madeForUse } from '@/core/wear/clocks';
import { landingOf } from '@/core/wear/learned/conditions';
import { shareOfLife } from '@/core/wear/old-pair';
import type { Tenant } from '../../database/tenant';
import { refusedAt } from '../../http/problem';
import { answerDays } from '../pairs/break-in';
import { refreshForecasts } from '../pairs/forecasts';
import { houseSettingsOf } from '../pairs/house-settings';
import { breakInOf, weeklyUse } from '../pairs/new-break-in';
import { keepBaseline } from '../pairs/outcomes';
import { batchSpreadOf } from '../pairs/repeat';
import type { patientRow } from '../patients/patient-row';
import { readClinic } from '../people/clinic';
import { placeOfWork } from '../people/sites';
import { wordsFor } from '../people/texts';
import { riskCheck } from '../recall/risk-check';
import { shoesBeside } from '../shoes/models';
import { sizesTried } from './issue';

export interface PairStart {
  patient: Awaited<ReturnType<typeof patientRow>>;
  visitId: string;
  /** What the visit's steps hold. */
  contents: VisitContents;
  specificationId: string;
  specification: Specification;
  picture: ClinicalPicture;
  model: ShoeModel;
  tryOn: TryOn;
  startedOn: string;
  modifications: readonly Modification[];
  /** Until when it may go back, where an order says so; else as pairs commonly may. */
  returnBy?: string | null;
  input: Pick<
    StepContents['hand-over'],
    | 'surface'
    | 'weeklyKm'
    | 'weeklyUse'
    | 'usualMinutes'
    | 'hills'
    | 'heat'
    | 'wet'
    | 'madeOn'
    | 'batch'
    | 'breakIn'
    | 'eyeletPairs'
    | 'laces'
  >;
}

/** The worst ache of both feet, 0–10; undefined where nobody said one. */
function worstOf(picture: ClinicalPicture): number | undefined {
  const aches = SIDES.flatMap((side) => numberAt(picture, 'worstPain', side) ?? []);
  return aches.length === 0 ? undefined : Math.max(...aches);
}

/** Numbers of the gait as the visit took them; undefined where it took none. */
function gaitBaseline(picture: ClinicalPicture) {
  const taken = gaitOf(picture);
  return taken.length === 0 ? undefined : taken;
}

/** How often feet at risk are looked at, and when next: at the longest gap that their category allows. */
async function keepRiskCheck(
  { tx }: Tenant,
  patientId: string,
  on: string,
  category: AtRiskCategory | null,
): Promise<void> {
  await tx.updateTable('patient').set(riskCheck(on, category)).where('id', '=', patientId).execute();
}

/** Puts a pair into use: the pair, the patient's sheet and the hand-over that ties them to what was issued. */
export async function startPair(
  tenant: Tenant,
  start: PairStart,
): Promise<{ pairId: string; sheet: PatientSheet }> {
  const { tx, actor } = tenant;
  const { patient, contents, picture, model, tryOn, input, startedOn, modifications } = start;
  if (input.madeOn && input.madeOn > startedOn)
    throw refusedAt('madeOn', `A pair that is first used on ${startedOn} was made before that.`);
  const clinic = await readClinic(tenant);
  const returnBy = start.returnBy ?? addDays(startedOn, RETURN_DAYS);
  const size = sizesTried(model, tryOn);
  const category = categoryOfPerson(picture);
  const bodyMassKg = typeof picture.body.bodyMass === 'number' ? picture.body.bodyMass : null;
  const { inKm, weekly } = weeklyUse(model.features, input, picture);
  const mine = { clinic_id: actor.clinicId, patient_id: patient.id };
  const { id: pairId } = await tx
    .insertInto('pair')
    .values({
      ...mine,
      model_id: model.id,
      size_left: size.left,
      size_right: size.right,
      started_on: startedOn,
      ended_on: null,
      surface: input.surface ?? null,
      expected_weekly_km: inKm ? weekly : null,
      weekly_use: inKm ? null : weekly,
      body_mass_kg: bodyMassKg,
      racing: madeForUse(model.features) === 'racing',
      conditions: JSON.stringify(
        omitUndefined({ hills: input.hills, heat: input.heat, landing: landingOf(picture) }),
      ),
      made_on: input.madeOn ?? null,
      batch: input.batch || null,
      modifications: JSON.stringify(modifications),
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  const forecast = (await refreshForecasts(tenant, { patientId: patient.id })).get(pairId)!;
  const breakIn = await breakInOf(tenant, {
    patientId: patient.id,
    contents,
    picture,
    startedOn,
    features: model.features,
    tryOn,
    input,
    school: clinic.breakInSchool,
  });
  await tx
    .updateTable('pair')
    .set({
      break_in: JSON.stringify(breakIn.input),
      break_in_state: breakIn.plan.state,
      first_life: JSON.stringify(forecast.life),
      ...answerDays(breakIn.input),
      // Only a pair that is kept at home first can still go back.
      return_by: breakIn.input.plan === 'home-trial' ? returnBy : null,
    })
    .where('id', '=', pairId)
    .execute();
  await keepRiskCheck(tenant, patient.id, startedOn, category);
  const sheet = patientSheet({
    ...(await wordsFor(tenant, patient.language)),
    patient: `${patient.given_name} ${patient.family_name}`,
    clinic: await placeOfWork(tenant, clinic),
    phone: clinic.phone,
    shoe: modelTitle(model),
    size: size.both,
    startedOn,
    picture,
    specification: start.specification,
    values: model.features,
    soleMm: drawnLengthOf(model),
    limbTolerance: (await houseSettingsOf(tenant)).prosthesis,
    tryOn,
    found: causesFound(contents.feet?.hotSpots ?? [], {
      picture,
      tryOn,
      shareOfLife: shareOfLife(contents['old-pair']?.pairs ?? [], {
        on: startedOn,
        school: clinic.lifeSchool,
        weeklyKm: inKm ? weekly : null,
      }),
    }),
    modifications,
    shelf: await shoesBeside(tenant, model),
    socks: omitUndefined({
      heat: input.heat ?? false,
      wet: input.wet ?? false,
      sock: contents.candidates?.conditions?.sock,
    }),
    usualMinutes: input.usualMinutes ?? 60,
    eyelets: eyeletsOf(model.features, input.eyeletPairs),
    laces: input.laces ?? 'flat',
    breakIn,
    returnBy,
    windowDays: forecast.windowDays,
    startNextDay: forecast.startNextDay,
    again: againOf({
      picture,
      ageYears: ageOn(patient.born_on, startedOn),
      tryOn,
      specification: start.specification,
      batchSdMm: await batchSpreadOf(tenant),
      isStillMade: model.status === 'current',
    }).may,
    reviewOn: reviewDay(startedOn, category),
  });
  await tx
    .insertInto('hand_over')
    .values({
      ...mine,
      visit_id: start.visitId,
      specification_id: start.specificationId,
      pair_id: pairId,
      sheet: JSON.stringify(sheet),
      handed_over_by: actor.userId,
      review_on: sheet.reviewOn,
    })
    .execute();
  await keepBaseline(tenant, pairId, startedOn, {
    comfort: tryOn.comfort,
    zones: tryOn.zones,
    pain: worstOf(picture),
    gait: gaitBaseline(picture),
  });
  if (tryOn.comfort !== undefined)
    await tx
      .insertInto('pair_log')
      .values({
        clinic_id: actor.clinicId,
        pair_id: pairId,
        logged_on: startedOn,
        distance_km: null,
        comfort: Math.round(tryOn.comfort),
        note: 'at the fitting',
        logged_by: actor.userId,
      })
      .execute();
  return { pairId, sheet };
}
