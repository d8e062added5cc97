import type { Choices, StepContents, StepRecord } from '@/api/visit-schema';
import type { ShoeModel } from '@/core/match/model';
import type { Findings } from '@/core/picture/clinical-picture';
import type { Side } from '@/core/picture/finding-kinds';
import { resolve } from '@/core/prescribe/resolve';
import type { Specification } from '@/core/prescribe/specification';
import { suggestedWarnings } from '@/core/safety/suggested-warnings';
import { openWarnings } from '@/core/safety/warning-signs';
import { featureOf } from '@/core/shoe/features';
import { sizeInWords } from '@/core/sizing/start-size';
import { handOverBlocks } from '@/core/tryon/hand-over-blocks';
import { placeOn } from '@/core/tryon/sizes';
import type { TryOn } from '@/core/tryon/try-on';
import type { Tenant } from '../database/tenant';
import { Refusal } from '../http/problem';
import { readClinic } from './clinic';
import { knowledgeForIssuing } from './knowledge';
import { modelOf } from './models';
import { carriedFrom, findingsOfSteps, merged, pictureOf, recordFindings } from './patient-findings';
import { patientRow } from './patients';
import { readVisit, visitRow } from './visits';

/** A visit that can be ended with a pair: everything that is issued follows from it. */
export interface ReadyVisit {
  visitId: string;
  startedAt: Date;
  patient: Awaited<ReturnType<typeof patientRow>>;
  findings: Findings;
  choices: Choices;
  specification: Specification;
  tryOn: TryOn;
  model: ShoeModel;
}

const contentOf = <S extends keyof StepContents>(
  steps: readonly StepRecord[],
  step: S,
): StepContents[S] | undefined =>
  steps.find((entry) => entry.step === step)?.content as StepContents[S] | undefined;

/**
 * Resolves a visit once more from what is saved. Refused while a warning sign is open, a deadlock or a forbidden decision
 * stands, or no pair was chosen; `more` adds what else stands in the way.
 */
export async function readyToIssue(
  tenant: Tenant,
  visitId: string,
  more: (startedAt: Date) => { path: string[]; message: string }[] = () => [],
): Promise<ReadyVisit> {
  const row = await visitRow(tenant, visitId);
  if (row.closed_at) throw new Refusal(409, 'This visit has been closed already.');
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
  const tryOn = contentOf(visit.steps, 'try-on')?.tryOns?.find((entry) => entry.verdict === 'chosen');
  const model = tryOn ? await modelTried(tenant, tryOn) : null;
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
    ...(tryOn ? [] : [{ path: ['try-on'], message: 'No tried pair has the verdict “chosen”.' }]),
    ...(tryOn && model ? handOverBlocks(tryOn, model, specification) : []).map((message) => ({
      path: ['try-on'],
      message,
    })),
    ...more(row.started_at),
  ];
  if (errors.length > 0) throw new Refusal(422, 'This cannot be handed over yet.', { errors });
  return {
    visitId,
    startedAt: row.started_at,
    patient,
    findings,
    choices: { ...choices, school },
    specification,
    tryOn: tryOn!,
    model: model!,
  };
}

/** Keeps the specification as issued: appended, never changed. */
export async function issueSpecification(tenant: Tenant, ready: ReadyVisit): Promise<string> {
  const { id } = await tenant.tx
    .insertInto('specification')
    .values({
      clinic_id: tenant.actor.clinicId,
      patient_id: ready.patient.id,
      visit_id: ready.visitId,
      picture: JSON.stringify(ready.findings),
      choices: JSON.stringify(ready.choices),
      result: JSON.stringify(ready.specification),
      issued_by: tenant.actor.userId,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  return id;
}

/** Ends a visit; a reason is kept where no pair was handed over. */
export async function closeWith({ tx }: Tenant, visitId: string, because: string | null): Promise<void> {
  await tx
    .updateTable('visit')
    .set({ closed_at: new Date(), closed_because: because })
    .where('id', '=', visitId)
    .execute();
}

/** Decisions that a limit forbids: they are taken back, or the limit is set aside, before anything is issued. */
const refusedDecisions = ({ targets, feet }: Specification): string[] =>
  [...targets, ...feet.left, ...feet.right].flatMap(({ feature, decision }) =>
    decision?.refused ? [`${featureOf(feature).label}: ${decision.refused}`] : [],
  );

export async function modelTried({ tx }: Tenant, tryOn: Pick<TryOn, 'model'>): Promise<ShoeModel> {
  const row = await tx.selectFrom('shoe_model').selectAll().where('id', '=', tryOn.model).executeTakeFirst();
  if (!row)
    throw new Refusal(422, 'This cannot be handed over yet.', {
      errors: [{ path: ['try-on'], message: 'The chosen model is no longer in the catalogue.' }],
    });
  return modelOf(row);
}

/** Sizes as they stand on the box, left and right. */
export function sizesTried(model: ShoeModel, tryOn: TryOn): { left: string; right: string; both: string } {
  const one = (side: Side) => {
    const place = placeOn(tryOn, side);
    return place ? sizeInWords(model.sizing, place.size, place.width) : 'as tried';
  };
  const [left, right] = [one('left'), one('right')];
  return { left, right, both: left === right ? left : `left ${left}, right ${right}` };
}
