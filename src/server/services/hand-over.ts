import type { z } from 'zod';
import type { Choices, handOverSchema, StepContents, StepRecord } from '@/api/visit-schema';
import { type PatientSheet, patientSheet, reviewDay } from '@/core/aftercare/patient-sheet';
import { modelTitle, type ShoeModel } from '@/core/match/model';
import { SIDES } from '@/core/picture/finding-kinds';
import { resolve } from '@/core/prescribe/resolve';
import type { Specification } from '@/core/prescribe/specification';
import { type AtRiskCategory, atRiskCategory } from '@/core/safety/at-risk-category';
import { suggestedWarnings } from '@/core/safety/suggested-warnings';
import { openWarnings } from '@/core/safety/warning-signs';
import { featureOf } from '@/core/shoe/features';
import { SIZE_SYSTEM_LABEL } from '@/core/sizing/systems';
import type { TryOn } from '@/core/tryon/try-on';
import { wearForecast } from '@/core/wear/forecast';
import { audit, type Tenant } from '../database/tenant';
import { Refusal } from '../http/problem';
import { readClinic } from './clinic';
import { knowledgeForIssuing } from './knowledge';
import { modelOf } from './models';
import { today } from './pairs';
import { carriedFrom, findingsOfSteps, merged, pictureOf, recordFindings } from './patient-findings';
import { patientRow } from './patients';
import { readVisit, visitRow } from './visits';

type HandOver = z.infer<typeof handOverSchema>;

const contentOf = <S extends keyof StepContents>(
  steps: readonly StepRecord[],
  step: S,
): StepContents[S] | undefined =>
  steps.find((entry) => entry.step === step)?.content as StepContents[S] | undefined;

/**
 * Ends a visit: resolves the specification once more from what is saved, keeps it as issued, records the pair
 * with its start date and writes the patient's sheet. Refused while a warning sign is open, a deadlock stands, or
 * no pair was chosen.
 */
export async function handOver(
  tenant: Tenant,
  visitId: string,
  input: HandOver,
): Promise<{ pairId: string; sheet: PatientSheet }> {
  const row = await visitRow(tenant, visitId);
  if (row.closed_at) throw new Refusal(409, 'This visit has been handed over already.');
  const visit = await readVisit(tenant, visitId);
  const patient = await patientRow(tenant, row.patient_id);
  const clinic = await readClinic(tenant);
  const findings = merged([
    recordFindings(patient, row.started_at),
    carriedFrom(visit.carried?.findings ?? {}),
    ...findingsOfSteps(visit.steps),
  ]);
  const picture = pictureOf(findings);
  const choices: Choices = contentOf(visit.steps, 'reason') ?? {};
  const school = choices.school ?? patient.school ?? clinic.school;
  const specification = resolve(picture, {
    school,
    setAside: choices.setAside ?? [],
    decisions: choices.decisions ?? [],
    knowledge: await knowledgeForIssuing(tenant),
  });

  const warnings = contentOf(visit.steps, 'warnings') ?? {};
  const marks = [
    ...(contentOf(visit.steps, 'ask')?.marks ?? []),
    ...(contentOf(visit.steps, 'feet')?.marks ?? []),
  ];
  const errors = [
    ...openWarnings(warnings, suggestedWarnings(picture, { marks, ankle: warnings.ankle })).map((block) => ({
      path: ['warnings', block.sign],
      message: block.message,
    })),
    ...refusedDecisions(specification).map((message) => ({ path: ['reason'], message })),
    ...specification.deadlocks.map((deadlock) => ({
      path: ['reason', deadlock.feature],
      message: deadlock.message,
    })),
  ];
  const tryOn = contentOf(visit.steps, 'try-on')?.tryOns?.find((entry) => entry.verdict === 'chosen');
  if (!tryOn) errors.push({ path: ['try-on'], message: 'No tried pair has the verdict “chosen”.' });
  const startedOn = input.startedOn ?? today();
  if (startedOn < row.started_at.toISOString().slice(0, 10))
    errors.push({ path: ['startedOn'], message: 'The pair cannot start before this visit.' });
  if (errors.length > 0) throw new Refusal(422, 'This cannot be handed over yet.', { errors });

  const model = await chosenModel(tenant, tryOn!);
  const size = sizeInWords(model, tryOn!);
  const categories = SIDES.map((side) => atRiskCategory(picture, side)).filter((answer) => answer.known);
  const category =
    categories.length === 0
      ? null
      : (Math.max(...categories.map((answer) => answer.category)) as AtRiskCategory);
  const bodyMassKg = typeof picture.body.bodyMass === 'number' ? picture.body.bodyMass : null;
  const weekly =
    input.weeklyKm ?? (typeof picture.body.weeklyDistance === 'number' ? picture.body.weeklyDistance : null);
  const racing = model.features.use === 'racing';
  const forecast = wearForecast({
    school: clinic.lifeSchool,
    racing,
    bodyMassKg,
    surface: input.surface ?? null,
    ageDays: 0,
    log: [],
    expectedWeeklyKm: weekly,
  });
  const sheet = patientSheet({
    patient: `${patient.given_name} ${patient.family_name}`,
    clinic: `${clinic.name}, ${clinic.place}`,
    shoe: modelTitle(model),
    size: size.both,
    startedOn,
    picture,
    specification,
    values: model.features,
    tryOn: tryOn!,
    category,
    usualMinutes: input.usualMinutes ?? 60,
    windowDays: forecast.windowDays,
    startNextDay: forecast.startNextDay,
    reviewOn: reviewDay(startedOn, category),
  });

  const { tx, actor } = tenant;
  const mine = { clinic_id: actor.clinicId, patient_id: patient.id };
  const issued = await tx
    .insertInto('specification')
    .values({
      ...mine,
      visit_id: visitId,
      picture: JSON.stringify(findings),
      choices: JSON.stringify({ ...choices, school }),
      result: JSON.stringify(specification),
      issued_by: actor.userId,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  const pair = await tx
    .insertInto('pair')
    .values({
      ...mine,
      model_id: model.id,
      size_left: size.left,
      size_right: size.right,
      started_on: startedOn,
      ended_on: null,
      surface: input.surface ?? null,
      expected_weekly_km: weekly,
      body_mass_kg: bodyMassKg,
      racing,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  await tx
    .insertInto('hand_over')
    .values({
      ...mine,
      visit_id: visitId,
      specification_id: issued.id,
      pair_id: pair.id,
      sheet: JSON.stringify(sheet),
      handed_over_by: actor.userId,
      review_on: sheet.reviewOn,
    })
    .execute();
  if (tryOn!.comfort !== undefined)
    await tx
      .insertInto('pair_log')
      .values({
        clinic_id: actor.clinicId,
        pair_id: pair.id,
        logged_on: startedOn,
        distance_km: null,
        comfort: Math.round(tryOn!.comfort),
        note: 'at the fitting',
        logged_by: actor.userId,
      })
      .execute();
  await tx.updateTable('visit').set({ closed_at: new Date() }).where('id', '=', visitId).execute();
  await audit(tenant, 'write', 'hand-over', patient.id);
  return { pairId: pair.id, sheet };
}

/** Decisions that a limit forbids: they are taken back, or the limit is set aside, before anything is issued. */
const refusedDecisions = ({ targets, feet }: Specification): string[] =>
  [...targets, ...feet.left, ...feet.right].flatMap(({ feature, decision }) =>
    decision?.refused ? [`${featureOf(feature).label}: ${decision.refused}`] : [],
  );

async function chosenModel({ tx }: Tenant, tryOn: TryOn): Promise<ShoeModel> {
  const row = await tx.selectFrom('shoe_model').selectAll().where('id', '=', tryOn.model).executeTakeFirst();
  if (!row)
    throw new Refusal(422, 'This cannot be handed over yet.', {
      errors: [{ path: ['try-on'], message: 'The chosen model is no longer in the catalogue.' }],
    });
  return modelOf(row);
}

function sizeInWords(model: ShoeModel, tryOn: TryOn): { left: string; right: string; both: string } {
  const system = SIZE_SYSTEM_LABEL[model.sizing.system];
  const width = tryOn.width ? ` ${tryOn.width}` : '';
  const one = (size: number | undefined) => (size === undefined ? 'as tried' : `${system} ${size}${width}`);
  const left = one(tryOn.sizeLeft);
  const right = one(tryOn.sizeRight ?? tryOn.sizeLeft);
  return { left, right, both: left === right ? left : `left ${left}, right ${right}` };
}
