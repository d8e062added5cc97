import { initialsOf } from '@/core/aftercare/initials';
import { dayOf } from '@/core/calendar/days';
import { modelTitle } from '@/core/catalogue/model';
import type { JobSheet } from '@/core/modification/job-sheet';
import { chosenTryOn } from '@/core/visit/examined';
import { contentsOf } from '@/core/visit/held';
import { audit, type Tenant } from '../../database/tenant';
import { notFound } from '../../http/problem';
import { patientRow } from '../patients/patient-row';
import { readClinic } from '../people/clinic';
import { placeOfWork } from '../people/sites';
import { modelInCatalogue, sizesTried } from '../visits/issue';
import { stepsOf } from '../visits/visit-steps';
import { listOrders } from './order-records';

/** Enough of an identifier to tell the pairs on one bench apart. */
const numberOf = (id: string): string => id.slice(0, 8).toUpperCase();

const sender = async (tenant: Tenant, patientId: string) => {
  const clinic = await readClinic(tenant);
  const patient = await patientRow(tenant, patientId);
  await audit(tenant, 'read', 'order for the technician', patientId);
  return {
    clinic: await placeOfWork(tenant, clinic),
    phone: clinic.phone,
    initials: initialsOf(`${patient.given_name} ${patient.family_name}`),
  };
};

/** The changes of a pair that was ordered. */
export async function jobOfOrder(tenant: Tenant, orderId: string): Promise<JobSheet> {
  const [order] = await listOrders(tenant, { orderId });
  if (!order) throw notFound('This order');
  return {
    ...(await sender(tenant, order.patient.id)),
    number: numberOf(order.id),
    orderedOn: dayOf(order.createdAt),
    neededBy: order.expectedOn,
    shoe: modelTitle(order.model),
    sizes: { left: order.sizeLeft, right: order.sizeRight },
    values: order.model.features,
    modifications: order.modifications,
  };
}

/** The changes of a pair that is handed over at a visit, as they are written down now. */
export async function jobOfVisit(tenant: Tenant, visitId: string): Promise<JobSheet> {
  const visit = await tenant.tx
    .selectFrom('visit')
    .select(['patient_id', 'started_at'])
    .where('id', '=', visitId)
    .executeTakeFirst();
  const contents = visit ? contentsOf(await stepsOf(tenant, visitId)) : {};
  const tryOn = chosenTryOn(contents);
  const model = tryOn && (await modelInCatalogue(tenant, tryOn.model));
  if (!visit || !tryOn || !model) throw notFound('A pair that was chosen');
  const { left, right } = sizesTried(model, tryOn);
  return {
    ...(await sender(tenant, visit.patient_id)),
    number: numberOf(visitId),
    orderedOn: dayOf(visit.started_at),
    neededBy: contents['hand-over']?.startedOn ?? null,
    shoe: modelTitle(model),
    sizes: { left, right },
    values: model.features,
    modifications: contents['hand-over']?.modifications ?? [],
  };
}
