import { type Selectable, sql } from 'kysely';
import { mayDo } from '@/contract/permissions';
import type { PresenceAnswer, VisitRecord } from '@/contract/records';
import { dayOf } from '@/core/calendar/days';
import { MOST_FELT_BEFORE } from '@/core/fitting/next-guess';
import { canonical } from '@/core/prescribe/counterfactual/replay';
import { checkContent, type StepContents } from '@/core/visit/contents';
import {
  carriedOver,
  examinedAt,
  feltAt,
  injuriesOf,
  numbersOf,
  swellingOf,
} from '@/core/visit/earlier-visit';
import { contentsOf } from '@/core/visit/held';
import type { SavedStep, StepState } from '@/core/visit/steps';
import { requirePart } from '../../auth/require-part';
import type { Database } from '../../database/schema';
import { audit, type Tenant } from '../../database/tenant';
import { fieldErrors, notFound, Refusal } from '../../http/problem';
import { girthsFromHome } from '../home/girths';
import { readHouseRules } from '../knowledge/in-force';
import { issuedAt } from '../knowledge/knowledge';
import { limbRecordOf } from '../limb/limb-record';
import { listOrders } from '../orders/order-records';
import { keepLooksOfVisit } from '../pairs/looks-of-visit';
import { patientRow } from '../patients/patient-row';
import { summaryOf } from '../patients/patients';
import { readClinic } from '../people/clinic';
import { recordFittings } from '../shoes/fittings';
import { recordOf, stepsOf } from './visit-steps';

/** Continues the patient's open visit, or begins one. */
export async function startVisit(tenant: Tenant, patientId: string): Promise<{ id: string }> {
  await patientRow(tenant, patientId);
  const open = () =>
    tenant.tx
      .selectFrom('visit')
      .select('id')
      .where('patient_id', '=', patientId)
      .where('closed_at', 'is', null)
      .executeTakeFirst();
  const before = await open();
  if (before) return before;
  const visit = await tenant.tx
    .insertInto('visit')
    .values({
      clinic_id: tenant.actor.clinicId,
      patient_id: patientId,
      started_by: tenant.actor.userId,
      site_id: tenant.actor.siteId,
      closed_at: null,
      closed_because: null,
    })
    // Two begun at once: the one that came first is the visit.
    .onConflict((conflict) => conflict.doNothing())
    .returning('id')
    .executeTakeFirst();
  if (!visit) return (await open()) ?? startVisit(tenant, patientId);
  // Whoever comes again is no longer put away, and belongs to where they come.
  await tenant.tx
    .updateTable('patient')
    .set({ archived_at: null, ...(tenant.actor.siteId ? { site_id: tenant.actor.siteId } : {}) })
    .where('id', '=', patientId)
    .execute();
  await audit(tenant, 'write', 'visit started', patientId);
  return visit;
}

/**
 * A visit's row. `to` keeps others waiting until the transaction ends: who ends a visit waits for every save under way, and
 * a save that comes later finds it ended. Saves of one visit do not wait for each other. The visit is locked before any
 * model.
 */
export async function visitRow({ tx }: Tenant, id: string, to: 'read' | 'save' | 'end' = 'read') {
  const query = tx.selectFrom('visit').selectAll().where('id', '=', id);
  const locked = to === 'read' ? query : to === 'save' ? query.forShare() : query.forUpdate();
  const row = await locked.executeTakeFirst();
  if (!row) throw notFound('This visit');
  return row;
}

/** How a closed visit ended, for who comes second: `Handed over at 10:32 by Mara Quill: …`. */
export async function howItEnded({ tx }: Tenant, visitId: string, purpose?: string | null): Promise<string> {
  const issued = await tx
    .selectFrom('specification')
    .leftJoin('hand_over', (join) =>
      join
        .onRef('hand_over.specification_id', '=', 'specification.id')
        .onRef('hand_over.clinic_id', '=', 'specification.clinic_id'),
    )
    .leftJoin('auth.user as issuer', 'issuer.id', 'specification.issued_by')
    .select(['issuer.name', 'issued_at', 'purpose', sql<string | null>`hand_over.sheet->>'shoe'`.as('shoe')])
    .where('specification.visit_id', '=', visitId)
    .orderBy('issued_at', 'desc')
    .execute();
  const one = issued.find((entry) => purpose === undefined || entry.purpose === purpose);
  if (one)
    return `${one.shoe ? 'Handed over' : 'Ordered'} at ${one.issued_at.toISOString().slice(11, 16)} UTC by ${one.name ?? 'somebody'}${one.shoe ? `: ${one.shoe}` : ''}.`;
  const row = await tx
    .selectFrom('visit')
    .select('closed_because')
    .where('id', '=', visitId)
    .executeTakeFirst();
  return row?.closed_because ? `It was closed: ${row.closed_because}.` : 'It was closed.';
}

/** Most visits that are laid beside the present one. */
const EARLIER_VISITS = 24;

/** What earlier visits hold: the latest carries what still holds, all show their numbers. */
async function earlierVisits(
  tenant: Tenant,
  patientId: string,
  before: Date,
): Promise<Pick<VisitRecord, 'carried' | 'earlier' | 'feltBefore'>> {
  const rows = await tenant.tx
    .selectFrom('visit')
    .leftJoin('visit_step', 'visit_step.visit_id', 'visit.id')
    .select(['visit.id', 'visit.started_at', 'step', 'state', 'revision', 'content', 'saved_at'])
    .where('visit.patient_id', '=', patientId)
    .where('visit.started_at', '<', before)
    .orderBy('visit.started_at', 'desc')
    .execute();
  const byVisit = new Map<string, typeof rows>();
  for (const row of rows) byVisit.set(row.id, [...(byVisit.get(row.id) ?? []), row]);
  const visits = [...byVisit.values()].slice(0, EARLIER_VISITS).map((group) => ({
    on: dayOf(group[0]!.started_at),
    contents: contentsOf(
      group.flatMap(({ step, state, revision, content, saved_at }) =>
        step === null || state === null || revision === null || content === null || saved_at === null
          ? []
          : [recordOf({ step, state, revision, content, saved_at, saved_by: null })],
      ),
    ),
  }));
  const examined = visits.flatMap(({ on, contents }) => {
    const findings = examinedAt(contents);
    return findings ? [{ on, contents, findings }] : [];
  });
  // A review holds no findings: what still holds is looked for in the latest visit that took a history.
  const [latest] = examined;
  return {
    carried: latest
      ? {
          findings: carriedOver(latest.findings),
          injuries: injuriesOf(latest.contents),
          from: latest.on,
        }
      : null,
    earlier: examined
      .map(({ on, contents, findings }) => ({
        on,
        findings: numbersOf(findings),
        swelling: swellingOf(contents),
      }))
      .reverse(),
    feltBefore: visits.flatMap(({ contents }) => feltAt(contents)).slice(0, MOST_FELT_BEFORE),
  };
}

/** A visit with every saved step and what carries over; the reading is audited. */
export async function loadVisit(tenant: Tenant, id: string): Promise<VisitRecord> {
  const visit = await visitRow(tenant, id);
  return visitRecord(tenant, visit, await patientRow(tenant, visit.patient_id));
}

/** The same of rows that have just been read. */
export async function visitRecord(
  tenant: Tenant,
  visit: Selectable<Database['visit']>,
  patient: Selectable<Database['patient']>,
): Promise<VisitRecord> {
  const { id } = visit;
  await audit(tenant, 'read', 'visit', patient.id);
  const issued = await issuedAt(tenant, id);
  const orders = await listOrders(tenant, { visitId: id });
  return {
    id,
    startedAt: visit.started_at.toISOString(),
    closedAt: visit.closed_at?.toISOString() ?? null,
    closedBecause: visit.closed_because,
    patient: { ...summaryOf(patient), heightMm: patient.height_mm, school: patient.school },
    clinic: await readClinic(tenant),
    house: (visit.closed_at ? issued[0]?.house : null) ?? (await readHouseRules(tenant)),
    issued: issued.map(({ house: _, ...pair }) => ({
      ...pair,
      order: orders.find(({ specificationId }) => specificationId === pair.id) ?? null,
    })),
    limb: await limbRecordOf(tenant, patient.id),
    girthsFromHome: await girthsFromHome(tenant, patient.id),
    ...(await earlierVisits(tenant, patient.id, visit.started_at)),
    reader: tenant.actor.name,
    readerRole: tenant.actor.role,
    steps: await stepsOf(tenant, id),
  };
}

/** What was decided on a visit, on every pair, whichever of them is under work. */
function decidedIn({ parked = {}, ...current }: StepContents['reason']): string {
  return [current, ...Object.values(parked)]
    .flatMap((choices) => [
      ...(choices?.school ? [{ school: choices.school }] : []),
      ...(choices?.decisions ?? []),
      ...(choices?.setAside ?? []),
    ])
    .map((entry) => canonical(entry))
    .sort()
    .join('\n');
}

export interface StepSave {
  revision: number;
  state: Exclude<StepState, 'untouched'>;
  content: unknown;
}

/**
 * Saves one step at the revision it was read at. When somebody saved in between, nothing is overwritten: the
 * refusal (409) carries the version that stands.
 */
export async function saveStep(
  tenant: Tenant,
  visitId: string,
  step: SavedStep,
  save: StepSave,
): Promise<{ revision: number; savedAt: string }> {
  const parsed = checkContent(step, save.content);
  if (!parsed.success)
    throw new Refusal(422, 'Some values cannot be accepted.', {
      errors: fieldErrors(parsed.error, ['content']),
    });
  const visit = await visitRow(tenant, visitId, 'save');
  if (visit.closed_at) throw new Refusal(409, 'This visit is closed: what was handed over stays as it was.');
  if (step === 'warnings') requirePart(tenant.actor, 'answerWarnings');
  if (step === 'reason' && !mayDo(tenant.actor.role, 'decide')) {
    const wanted = checkContent('reason', save.content);
    const { reason: before = {} } = contentsOf(await stepsOf(tenant, visitId));
    if (wanted.success && decidedIn(wanted.data) !== decidedIn(before)) requirePart(tenant.actor, 'decide');
  }
  const row = {
    clinic_id: tenant.actor.clinicId,
    visit_id: visitId,
    step,
    state: save.state,
    revision: save.revision + 1,
    content: JSON.stringify(parsed.data),
    saved_by: tenant.actor.userId,
  };
  const written =
    save.revision === 0
      ? await tenant.tx
          .insertInto('visit_step')
          .values(row)
          .onConflict((conflict) => conflict.doNothing())
          .returning(['revision', 'saved_at'])
          .executeTakeFirst()
      : await tenant.tx
          .updateTable('visit_step')
          .set({ ...row, saved_at: sql`now()` })
          .where('visit_id', '=', visitId)
          .where('step', '=', step)
          .where('revision', '=', save.revision)
          .returning(['revision', 'saved_at'])
          .executeTakeFirst();
  if (!written) {
    const current = (await stepsOf(tenant, visitId)).find((entry) => entry.step === step);
    throw new Refusal(409, `${current?.savedBy ?? 'Somebody'} saved this step before you.`, { current });
  }
  // Rooms are read against the feet: either step may be the later one.
  if (step === 'try-on' || step === 'feet') await recordFittings(tenant, visitId);
  await audit(tenant, 'write', `visit step ${step}`, visit.patient_id);
  return { revision: written.revision, savedAt: written.saved_at.toISOString() };
}

/** Ends a visit in which nothing is handed over: a review, a referral. The reason is kept. */
export async function closeVisit(
  tenant: Tenant,
  id: string,
  reason: string,
): Promise<{ closedBecause: string }> {
  const visit = await visitRow(tenant, id, 'end');
  if (visit.closed_at)
    throw new Refusal(409, `This visit is closed already. ${await howItEnded(tenant, id)}`);
  await keepLooksOfVisit(tenant, visit, contentsOf(await stepsOf(tenant, id)));
  await tenant.tx
    .updateTable('visit')
    .set({ closed_at: new Date(), closed_because: reason })
    .where('id', '=', id)
    .execute();
  await audit(tenant, 'write', 'visit closed without a hand-over', visit.patient_id);
  return { closedBecause: reason };
}

/** Others count as here for this long after their last sign of life. */
const HERE_SECONDS = 60;

/** Notes where somebody works, and tells who else is on this visit and which revisions stand. */
export async function notePresence(
  tenant: Tenant,
  visitId: string,
  step: SavedStep,
): Promise<PresenceAnswer> {
  const { tx, actor } = tenant;
  await visitRow(tenant, visitId);
  // The time since the last word is of the step that was open then; who was away for longer than this was not at it.
  await sql`insert into visit_time (clinic_id, visit_id, step, seconds)
    select clinic_id, visit_id, step, round(extract(epoch from now() - seen_at))::int from visit_presence
    where visit_id = ${visitId} and user_id = ${actor.userId} and seen_at > now() - make_interval(secs => ${HERE_SECONDS})
    on conflict (clinic_id, visit_id, step) do update set seconds = visit_time.seconds + excluded.seconds`.execute(
    tx,
  );
  await tx
    .insertInto('visit_presence')
    .values({ clinic_id: actor.clinicId, visit_id: visitId, user_id: actor.userId, step })
    .onConflict((conflict) =>
      conflict.columns(['clinic_id', 'visit_id', 'user_id']).doUpdateSet({ step, seen_at: sql`now()` }),
    )
    .execute();
  const others = await tx
    .selectFrom('visit_presence')
    .innerJoin('auth.user as person', 'person.id', 'visit_presence.user_id')
    .select(['person.name', 'step', 'seen_at'])
    .where('visit_id', '=', visitId)
    .where('user_id', '<>', actor.userId)
    .where('seen_at', '>', sql<Date>`now() - make_interval(secs => ${HERE_SECONDS})`)
    .execute();
  const revisions = await tx
    .selectFrom('visit_step')
    .select(['step', 'revision'])
    .where('visit_id', '=', visitId)
    .execute();
  return {
    others: others.map((row) => ({ name: row.name, step: row.step, seenAt: row.seen_at.toISOString() })),
    revisions: Object.fromEntries(revisions.map((row) => [row.step, row.revision])),
  };
}
