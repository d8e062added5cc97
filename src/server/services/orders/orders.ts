import type { z } from 'zod';
import type { OrderRecord } from '@/contract/records';
import type { orderEventSchema, orderSchema } from '@/contract/shoes';
import type { CatalogueEntry } from '@/core/catalogue/catalogue-entry';
import { modelTitle, type ShoeModel } from '@/core/catalogue/model';
import { clinicalPicture } from '@/core/examination/clinical-picture';
import { SIDES } from '@/core/findings/finding-kinds';
import type { TryOn } from '@/core/fitting/try-on';
import { modificationProblem } from '@/core/modification/modification';
import { checkArrival, ORDER_EVENTS, type OrderEvent, orderAfter, RETURN_DAYS } from '@/core/orders/order';
import { omitUndefined } from '@/core/tables/omit-undefined';
import { contentsOf } from '@/core/visit/held';
import { requirePart } from '../../auth/require-part';
import { audit, type Tenant } from '../../database/tenant';
import { notFound, Refusal, valueOrRefusal } from '../../http/problem';
import { today } from '../clock';
import { patientRow } from '../patients/patient-row';

import { knownModels, modelNamed, storeEntries, tieForerunners } from '../shoes/catalogue-store';
import { noteChange } from '../shoes/models';
import { closeWith, issueSpecification, modelInCatalogue, readyToIssue, sizesTried } from '../visits/issue';
import { startPair } from '../visits/start-pair';
import { stepsOf } from '../visits/visit-steps';
import { listOrders } from './order-records';

/**
 * Orders the pair under work, which is not in hand yet: the specification is issued, the pair ordered in the sizes tried.
 * The visit ends with the last pair that is asked for.
 */
export async function orderPair(
  tenant: Tenant,
  visitId: string,
  input: z.infer<typeof orderSchema>,
): Promise<OrderRecord> {
  const { expectedOn, returnDays, modifications = [], ...start } = input;
  const ready = await readyToIssue(tenant, visitId, { ...start, modifications }, 'order');
  const { tryOn, model, patient } = ready;
  const size = sizesTried(model, tryOn);
  const specificationId = await issueSpecification(tenant, ready);
  const { id } = await tenant.tx
    .insertInto('shoe_order')
    .values({
      clinic_id: tenant.actor.clinicId,
      patient_id: patient.id,
      visit_id: visitId,
      specification_id: specificationId,
      model_id: model.id,
      size_left: size.left,
      size_right: size.right,
      // What is only ordered nobody can have looked at yet.
      modifications: JSON.stringify(modifications.map(({ check: _, ...ordered }) => ordered)),
      try_on: JSON.stringify(tryOn),
      start: JSON.stringify(start),
      return_days: returnDays ?? RETURN_DAYS,
      expected_on: expectedOn ?? null,
      arrived_on: null,
      came_version: null,
      created_by: tenant.actor.userId,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  await note(tenant, id, 'created', '');
  if (ready.left.length === 0) await closeWith(tenant, ready, `ordered: ${modelTitle(model)}, ${size.both}`);
  await audit(tenant, 'write', 'pair ordered', patient.id);
  return oneOrder(tenant, id);
}

async function note(
  { tx, actor }: Tenant,
  orderId: string,
  event: OrderEvent | 'created',
  text: string,
): Promise<void> {
  await tx
    .insertInto('order_event')
    .values({ clinic_id: actor.clinicId, order_id: orderId, event, note: text, made_by: actor.userId })
    .execute();
}

async function oneOrder(tenant: Tenant, id: string): Promise<OrderRecord> {
  const [order] = await listOrders(tenant, { orderId: id });
  if (!order) throw notFound('This order');
  return order;
}

type Move = z.infer<typeof orderEventSchema>;

const refuse = (path: string, message: string): Refusal =>
  new Refusal(422, 'This cannot be done yet.', { errors: [{ path: [path], message }] });

/** Moves an order on. A check holds the arrival against the order and decides by itself whether it is right. */
export async function moveOrder(tenant: Tenant, id: string, move: Move): Promise<OrderRecord> {
  // Two people at one order follow each other.
  await tenant.tx.selectFrom('shoe_order').select('id').where('id', '=', id).forUpdate().execute();
  const order = await oneOrder(tenant, id);
  if (move.event === 'collect') requirePart(tenant.actor, 'collectOrder');
  if (move.event === 'check') return checkOrder(tenant, order, move);
  const state = valueOrRefusal(orderAfter(order.state, move.event));
  if (move.event === 'collect') await collect(tenant, order, move);
  await tenant.tx
    .updateTable('shoe_order')
    .set({
      state,
      ...(move.event === 'arrive' ? { arrived_on: today() } : {}),
      ...(move.expectedOn ? { expected_on: move.expectedOn } : {}),
    })
    .where('id', '=', id)
    .execute();
  await note(tenant, id, move.event, move.note ?? '');
  await audit(tenant, 'write', `order: ${ORDER_EVENTS[move.event].label}`, order.patient.id);
  return oneOrder(tenant, id);
}

/** Right goes to collection. Wrong waits to be sent back; another version may be kept, but is tried on again. */
async function checkOrder(tenant: Tenant, order: OrderRecord, move: Move): Promise<OrderRecord> {
  if (!move.arrival) throw refuse('arrival', 'Enter what is in the box.');
  if (move.arrival.madeOn && move.arrival.madeOn > today())
    throw refuse('arrival', 'The day on which it was made is in the future.');
  valueOrRefusal(orderAfter(order.state, 'pass'));
  const check = checkArrival(
    { version: order.model.version, sizeLeft: order.sizeLeft, sizeRight: order.sizeRight },
    move.arrival,
  );
  const row = await tenant.tx
    .selectFrom('shoe_order')
    .select('start')
    .where('id', '=', order.id)
    .executeTakeFirstOrThrow();
  const onlyVersion = check.tryAgain && check.problems.length === 1;
  const event = check.right || onlyVersion ? 'pass' : 'reject';
  await tenant.tx
    .updateTable('shoe_order')
    .set({
      state: ORDER_EVENTS[event].to,
      came_version: check.tryAgain ? move.arrival.version : null,
      start: JSON.stringify(
        omitUndefined({ ...row.start, batch: move.arrival.batch, madeOn: move.arrival.madeOn }),
      ),
    })
    .where('id', '=', order.id)
    .execute();
  await note(tenant, order.id, event, [...check.problems, move.note ?? ''].filter(Boolean).join(' '));
  await audit(tenant, 'write', `order checked: ${ORDER_EVENTS[event].label}`, order.patient.id);
  return oneOrder(tenant, order.id);
}

/** The pair goes into use on the day it is collected, with the fit that was found or, felt again, the new one. */
async function collect(tenant: Tenant, order: OrderRecord, move: Move): Promise<void> {
  const row = await tenant.tx
    .selectFrom('shoe_order')
    .innerJoin('specification', 'specification.id', 'shoe_order.specification_id')
    .select(['try_on', 'start', 'specification_id', 'picture', 'result'])
    .where('shoe_order.id', '=', order.id)
    .executeTakeFirstOrThrow();
  // What the technician did is held against the order before the pair goes out.
  const modifications = order.modifications.map((modification, at) =>
    omitUndefined({ ...modification, check: move.checks?.[at] }),
  );
  const problems = modifications.flatMap((modification, at) => {
    const message = modificationProblem(modification);
    return message ? [{ path: ['checks', String(at)], message }] : [];
  });
  if (order.cameVersion && move.tryAgain?.comfort === undefined)
    problems.push({
      path: ['tryAgain'],
      message: 'Another version came: try it on again, and write the comfort and the room.',
    });
  if (problems.length > 0) throw new Refusal(422, 'This cannot be done yet.', { errors: problems });
  const model = order.cameVersion
    ? await versionThatCame(tenant, order)
    : await modelOrRefusal(tenant, row.try_on.model);
  const tryOn = feltAgain(row.try_on, move.tryAgain ?? {}, model.id);
  await startPair(tenant, {
    patient: await patientRow(tenant, order.patient.id),
    visitId: order.visitId,
    contents: contentsOf(await stepsOf(tenant, order.visitId)),
    specificationId: row.specification_id,
    specification: row.result,
    picture: clinicalPicture(row.picture),
    model,
    tryOn,
    startedOn: today(),
    modifications,
    returnBy: order.returnBy,
    input: row.start,
  });
}

async function modelOrRefusal(tenant: Tenant, id: string): Promise<ShoeModel> {
  const model = await modelInCatalogue(tenant, id);
  if (!model) throw refuse('model', 'This model is no longer in the catalogue.');
  return model;
}

/** A fitting with what was felt at collection over it: what was not asked again still holds, foot by foot. */
function feltAgain(before: TryOn, again: NonNullable<Move['tryAgain']>, model: string): TryOn {
  const feet = Object.fromEntries(
    SIDES.flatMap((side) => {
      const foot = { ...before[side], ...again[side] };
      return Object.keys(foot).length > 0 ? [[side, foot]] : [];
    }),
  );
  return { ...before, ...omitUndefined(again), ...feet, model };
}

/**
 * The version that the arrival was. One that the catalogue does not know yet is put there with nothing said of it but its
 * sizes: what is not known is shown as not known.
 */
async function versionThatCame(tenant: Tenant, { model, cameVersion }: OrderRecord): Promise<ShoeModel> {
  const came = { maker: model.maker, name: model.name, version: cameVersion! };
  const id = await modelNamed(tenant, came);
  if (id) return modelOrRefusal(tenant, id);
  const entry: CatalogueEntry = {
    ...came,
    sizing: { ...model.sizing, lengthOffsetMm: 0, widthOffsetMm: 0 },
    stock: {},
    boxes: {},
    price: null,
    status: 'current',
    replaces: model.version,
    readings: {},
  };
  await storeEntries(tenant, [entry], await knownModels(tenant));
  await tieForerunners(tenant, [entry]);
  const added = (await modelNamed(tenant, came))!;
  await noteChange(tenant, 'supplier', `Version ${came.version} arrived with an order`, added);
  return modelOrRefusal(tenant, added);
}
