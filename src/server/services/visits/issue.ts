import type { ShoeModel } from '@/core/catalogue/model';
import type { Side } from '@/core/findings/finding-kinds';
import type { ClinicalPicture, Findings } from '@/core/findings/picture';
import { placeOn } from '@/core/fitting/sizes';
import type { TryOn } from '@/core/fitting/try-on';
import type { Specification } from '@/core/prescribe/engine/specification';
import type { AskedPair } from '@/core/purpose/pairs';
import type { Activity } from '@/core/purpose/serves';
import { sizeInWords } from '@/core/sizing/start-size';
import { blocksOrder } from '@/core/visit/blocks';
import type { Choices, StepContents, VisitContents } from '@/core/visit/contents';
import { chosenTryOn, pairsLeft } from '@/core/visit/examined';
import { contentsOf } from '@/core/visit/held';
import { choicesOf } from '@/core/visit/pair-work';
import { readVisit } from '@/core/visit/read-visit';
import type { Tenant } from '../../database/tenant';
import { Refusal } from '../../http/problem';
import { keepEdition } from '../knowledge/knowledge';
import { keepLooksOfVisit } from '../pairs/looks-of-visit';
import { patientRow } from '../patients/patient-row';
import { modelOf } from '../shoes/model-rows';
import { howItEnded, visitRecord, visitRow } from './visits';

/** A visit that can be ended with a pair: everything that is issued follows from it. */
export interface ReadyVisit {
  visitId: string;
  startedAt: Date;
  /** What the visit's steps hold. */
  contents: VisitContents;
  patient: Awaited<ReturnType<typeof patientRow>>;
  findings: Findings;
  picture: ClinicalPicture;
  choices: Choices;
  specification: Specification;
  /** Version of the house rules it was resolved under. */
  houseVersion: number;
  /** What the pair is for, where the visit asks for several. */
  purpose: Activity | null;
  /** Pairs that are still to come when this one is issued. */
  left: readonly AskedPair[];
  tryOn: TryOn;
  model: ShoeModel;
}

/**
 * Reads a visit once more from what is saved. Refused while anything stands in the way; `handOver` is what was sent with
 * the request and counts before what was saved of that step.
 *
 * @param how an order is held back by less: it starts later, and its changes are still to be made
 */
export async function readyToIssue(
  tenant: Tenant,
  visitId: string,
  handOver?: StepContents['hand-over'],
  how: 'hand-over' | 'order' = 'hand-over',
): Promise<ReadyVisit> {
  const row = await visitRow(tenant, visitId, 'end');
  if (row.closed_at)
    throw new Refusal(409, `This visit has been closed already. ${await howItEnded(tenant, visitId)}`);
  const patient = await patientRow(tenant, row.patient_id);
  const visit = await visitRecord(tenant, row, patient);
  const saved = contentsOf(visit.steps);
  const contents = handOver ? { ...saved, 'hand-over': handOver } : saved;
  const tryOn = chosenTryOn(contents);
  const model = tryOn ? await modelInCatalogue(tenant, tryOn.model) : null;
  const reading = readVisit(visit, contents, model);
  const { pairs, pair, findings, picture, options, specification } = reading;
  const blocks = how === 'order' ? reading.blocks.filter(blocksOrder) : reading.blocks;
  const purpose = pairs.length > 1 && pair ? pair.id : null;
  if (pair && visit.issued.length > 0 && !pairsLeft(pairs, visit.issued).includes(pair))
    throw new Refusal(
      409,
      `The pair for this purpose has been issued already. ${await howItEnded(tenant, visitId, purpose)}`,
    );
  if (blocks.length > 0 || !tryOn || !model)
    throw new Refusal(422, 'This cannot be handed over yet.', {
      errors: blocks.map(({ step, path, message }) => ({
        // What concerns the body of this very request is named as its own field.
        path: step === 'hand-over' ? path : [step, ...path],
        message,
      })),
    });
  await keepEdition(tenant, options.knowledge);
  return {
    visitId,
    startedAt: row.started_at,
    contents,
    patient,
    findings,
    picture,
    choices: { ...choicesOf(contents), school: options.school },
    specification,
    houseVersion: visit.house.version,
    purpose,
    left: pairsLeft(pairs, visit.issued).filter((entry) => entry !== pair),
    tryOn,
    model,
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
      house_version: ready.houseVersion,
      purpose: ready.purpose,
      issued_by: tenant.actor.userId,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  return id;
}

/** Ends a visit once no pair is left to come; a reason is kept where the last was not handed over. */
export async function closeWith(tenant: Tenant, ready: ReadyVisit, because: string | null): Promise<void> {
  const { visitId, startedAt, patient, contents } = ready;
  await keepLooksOfVisit(tenant, { patient_id: patient.id, started_at: startedAt }, contents);
  await tenant.tx
    .updateTable('visit')
    .set({ closed_at: new Date(), closed_because: because })
    .where('id', '=', visitId)
    .execute();
}

/** A model by its id; null when it is no longer in the catalogue. */
export async function modelInCatalogue({ tx }: Tenant, id: string): Promise<ShoeModel | null> {
  const row = await tx.selectFrom('shoe_model').selectAll().where('id', '=', id).executeTakeFirst();
  return row ? modelOf(row) : null;
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
