import { randomUUID } from 'node:crypto';
import { sql, type Transaction } from 'kysely';
import { addDays, dayOf } from '@/core/calendar/days';
import { categoryOfPerson } from '@/core/examination/at-risk-category';
import { clinicalPicture } from '@/core/examination/clinical-picture';
import { knowledgeOf, NO_HOUSE_RULES } from '@/core/knowledge/house-rules';
import { RETURN_DAYS } from '@/core/orders/order';
import { stepsHeld } from '@/core/visit/held';
import type { SavedStep } from '@/core/visit/steps';
import { learnCatalogue } from '@/core/wear/learned/observation';
import { DEMO_PASSWORD, DEMO_STAFF, type DemoClinic, type DemoPatient, demoClinic } from '@/demo/clinic';
import type { DemoOrder } from '@/demo/fitting';
import { PHONE } from '@/demo/history';
import { outcomesOf } from '@/demo/outcomes';
import { kyselyOn } from '../database/connection';
import type { Database } from '../database/schema';
import type { Tenant } from '../database/tenant';
import { answerDays } from '../services/pairs/break-in';
import { caretaker } from '../services/pairs/caretaker';
import { refreshForecasts } from '../services/pairs/forecasts';
import { keepLearned, toLearn } from '../services/pairs/learned-lives';
import { riskCheck } from '../services/recall/risk-check';
import { recordFittings } from '../services/shoes/fittings';
import { addStaff } from './add-staff';
import { addContacts } from './load-demo-contacts';
import { addHome } from './load-demo-home';
import { addInspections } from './load-demo-inspections';
import { addLimbs } from './load-demo-limbs';
import { addOutcomes } from './load-demo-outcomes';
import { addReviews } from './load-demo-reviews';

/** Loads the demo clinic unless some clinic exists; two processes at once load it once. */
export async function loadDemo(ownerUrl: string, now: Date): Promise<boolean> {
  const db = kyselyOn(ownerUrl, 1);
  try {
    return await db.transaction().execute(async (tx) => {
      await sql`select pg_advisory_xact_lock(hashtext('sovet demo'))`.execute(tx);
      const clinicId = randomUUID();
      // Whoever owns the tables sees no clinic's rows without naming it; the role that only reads sees them all.
      await sql`set local role sovet_backup`.execute(tx);
      const known = await sql<{ loaded: boolean }>`select exists (select from auth."user") as loaded`.execute(
        tx,
      );
      await sql`reset role`.execute(tx);
      await sql`select set_config('sovet.clinic', ${clinicId}, true)`.execute(tx);
      if (known.rows[0]?.loaded) return false;
      const day = now.toISOString().slice(0, 10);
      const demo = demoClinic(day);
      await tx
        .insertInto('clinic')
        .values({ clinic_id: clinicId, name: demo.name, place: demo.place, phone: PHONE })
        .execute();
      const [lead, practitioner] = await addStaff(tx, clinicId, DEMO_STAFF, DEMO_PASSWORD);
      await addHouseRules(tx, clinicId, lead!, demo.houseRules);
      await tx
        .insertInto('shoe_model')
        .values(
          demo.models.map((model) => ({
            clinic_id: clinicId,
            id: model.id,
            maker: model.maker,
            name: model.name,
            version: model.version,
            features: JSON.stringify(model.features),
            sizing: JSON.stringify(model.sizing),
            readings: JSON.stringify(model.readings),
            stock: JSON.stringify(model.stock),
            boxes: JSON.stringify(model.boxes),
            price: model.price,
            status: model.status,
            replaces: model.replaces,
          })),
        )
        .execute();
      for (const patient of demo.patients) await addPatient(tx, clinicId, practitioner!, patient);
      await keepFirstLives(tx, clinicId, day);
      await addReviews(tx, clinicId, practitioner!, day);
      await addContacts(tx, clinicId, practitioner!, demo.patients, day);
      await addInspections(tx, clinicId, practitioner!, day);
      await addForecasts(tx, clinicId, day);
      const asPractitioner = { tx, actor: { ...caretaker(clinicId), userId: practitioner! } };
      await addLimbs(asPractitioner, day);
      await addHome(asPractitioner, day);
      return true;
    });
  } finally {
    await db.destroy();
  }
}

/** What each pair was foretold when it began: before anything was learned or looked at. */
async function keepFirstLives(tx: Transaction<Database>, clinicId: string, day: string): Promise<void> {
  const pairs = await tx.selectFrom('pair').select('id').execute();
  await refreshForecasts({ tx, actor: caretaker(clinicId) }, { pairIds: pairs.map(({ id }) => id) }, day);
  await sql`update pair set first_life = forecast->'life'`.execute(tx);
}

/** What the demo's pairs teach, and the forecast of each. */
async function addForecasts(tx: Transaction<Database>, clinicId: string, day: string): Promise<void> {
  const tenant: Tenant = { tx, actor: caretaker(clinicId) };
  const { ids, asked } = await toLearn(tenant, 'median', day);
  await keepLearned(tenant, 'median', ids, learnCatalogue(asked));
  const pairs = await tx.selectFrom('pair').select('id').execute();
  await refreshForecasts(tenant, { pairIds: pairs.map(({ id }) => id) }, day);
}

/** House rules with the days they came into force, and the rules of each edition for replay. */
async function addHouseRules(
  tx: Transaction<Database>,
  clinicId: string,
  by: string,
  versions: DemoClinic['houseRules'],
): Promise<void> {
  await tx
    .insertInto('house_rules')
    .values(
      versions.map(({ version, changes, settings, note, day }) => ({
        clinic_id: clinicId,
        version,
        changes: JSON.stringify(changes),
        settings: JSON.stringify(settings),
        note,
        made_by: by,
        made_at: new Date(`${day}T07:30:00Z`),
      })),
    )
    .execute();
  await tx
    .insertInto('knowledge_edition')
    .values(
      [NO_HOUSE_RULES, ...versions].map(knowledgeOf).map(({ edition, rules }) => ({
        clinic_id: clinicId,
        edition,
        rules: JSON.stringify(rules),
      })),
    )
    .execute();
}

async function addPatient(
  tx: Transaction<Database>,
  clinicId: string,
  by: string,
  patient: DemoPatient,
): Promise<void> {
  const { persona } = patient;
  const clinic_id = clinicId;
  const patient_id = patient.id;
  await tx
    .insertInto('patient')
    .values({
      clinic_id,
      id: patient.id,
      given_name: persona.given,
      family_name: persona.family,
      born_on: patient.bornOn,
      sizing_group: persona.group,
      occupation: persona.occupation,
      language: persona.language ?? 'en',
    })
    .execute();
  for (const visit of patient.visits) {
    const at = new Date(`${visit.day}T09:30:00Z`);
    const { id: visit_id } = await tx
      .insertInto('visit')
      .values({
        clinic_id,
        patient_id,
        started_by: by,
        started_at: at,
        closed_at: visit.handOver || visit.closedBecause ? at : null,
        closed_because: visit.closedBecause,
      })
      .returning('id')
      .executeTakeFirstOrThrow();
    const steps = stepsHeld(visit.steps).map(({ step, content }) => ({
      clinic_id,
      visit_id,
      step,
      state: visit.handOver || visit.order ? ('done' as const) : ('in-progress' as const),
      revision: 1,
      content: JSON.stringify(content),
      saved_by: by,
      saved_at: at,
    }));
    if (steps.length > 0) await tx.insertInto('visit_step').values(steps).execute();
    await recordFittings({ tx, actor: caretaker(clinic_id) }, visit_id);
    await addTimes(tx, clinic_id, visit_id, steps);
    if (visit.order) await addOrder(tx, { clinic_id, patient_id, visit_id }, by, at, visit.order);
    if (!visit.handOver) continue;
    const { handOver } = visit;
    const { id: specification_id } = await tx
      .insertInto('specification')
      .values({
        clinic_id,
        patient_id,
        visit_id,
        picture: JSON.stringify(handOver.findings),
        choices: JSON.stringify(handOver.choices),
        result: JSON.stringify(handOver.specification),
        house_version: handOver.houseVersion,
        purpose: handOver.purpose,
        issued_by: by,
        issued_at: at,
      })
      .returning('id')
      .executeTakeFirstOrThrow();
    const { id: pair_id } = await tx
      .insertInto('pair')
      .values({
        clinic_id,
        patient_id,
        model_id: handOver.model.id,
        size_left: handOver.sizeLeft,
        size_right: handOver.sizeRight,
        started_on: visit.day,
        ended_on: handOver.endedOn,
        surface: persona.surface,
        expected_weekly_km: handOver.weeklyUse === null ? persona.weeklyKm : null,
        weekly_use: handOver.weeklyUse,
        ended_because: handOver.endedBecause,
        body_mass_kg: persona.findings.body?.bodyMass ?? null,
        racing: handOver.racing,
        break_in: handOver.endedOn === null ? JSON.stringify(handOver.breakIn) : null,
        break_in_state: handOver.endedOn === null ? 'going' : null,
        ...(handOver.endedOn === null ? answerDays(handOver.breakIn) : {}),
        return_by: handOver.breakIn.plan === 'home-trial' ? addDays(visit.day, RETURN_DAYS) : null,
      })
      .returning('id')
      .executeTakeFirstOrThrow();
    await tx
      .insertInto('hand_over')
      .values({
        clinic_id,
        patient_id,
        visit_id,
        specification_id,
        pair_id,
        sheet: JSON.stringify(handOver.sheet),
        handed_over_by: by,
        handed_over_at: at,
        review_on: handOver.sheet.reviewOn,
      })
      .execute();
    await tx
      .insertInto('pair_log')
      .values(
        handOver.log.map((entry) => ({
          clinic_id,
          pair_id,
          logged_on: entry.on,
          distance_km: entry.distanceKm,
          amount: entry.amount,
          comfort: entry.comfort,
          logged_by: by,
        })),
      )
      .execute();
    const category = categoryOfPerson(clinicalPicture(handOver.findings));
    await tx
      .updateTable('patient')
      .set(riskCheck(visit.day, category))
      .where('id', '=', patient_id)
      .execute();
    await addOutcomes(
      tx,
      {
        clinic_id,
        id: pair_id,
        startedOn: visit.day,
        category,
      },
      outcomesOf(persona, visit.day, handOver.endedOn ?? dayOf(new Date()), handOver.log),
      by,
    );
  }
}

/** Seconds that each step was open before somebody at a visit of the demo: invented, and other for each visit. */
const STEP_SECONDS: Readonly<Partial<Record<SavedStep, number>>> = {
  ask: 240,
  'old-pair': 110,
  feet: 420,
  load: 150,
  move: 260,
  reason: 130,
  candidates: 60,
  'try-on': 540,
  'hand-over': 150,
};

async function addTimes(
  tx: Transaction<Database>,
  clinic_id: string,
  visit_id: string,
  steps: readonly { step: SavedStep; content: string }[],
): Promise<void> {
  const rows = steps.flatMap(({ step, content }) => {
    const usual = STEP_SECONDS[step];
    return usual === undefined
      ? []
      : [
          {
            clinic_id,
            visit_id,
            step,
            seconds: Math.round(usual * (0.6 + (content.length % 90) / 100)),
          },
        ];
  });
  if (rows.length > 0) await tx.insertInto('visit_time').values(rows).execute();
}

/** An ordered pair with what was issued for it and how far it has come. */
async function addOrder(
  tx: Transaction<Database>,
  ids: { clinic_id: string; patient_id: string; visit_id: string },
  by: string,
  at: Date,
  order: DemoOrder,
): Promise<void> {
  const { id: specification_id } = await tx
    .insertInto('specification')
    .values({
      ...ids,
      picture: JSON.stringify(order.findings),
      choices: JSON.stringify(order.choices),
      result: JSON.stringify(order.specification),
      house_version: order.houseVersion,
      purpose: order.purpose,
      issued_by: by,
      issued_at: at,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  const { id: order_id } = await tx
    .insertInto('shoe_order')
    .values({
      ...ids,
      specification_id,
      model_id: order.model.id,
      size_left: order.size,
      size_right: order.size,
      modifications: JSON.stringify(order.modifications),
      try_on: JSON.stringify(order.tryOn),
      start: JSON.stringify({}),
      state: order.state,
      came_version: null,
      return_days: RETURN_DAYS,
      expected_on: null,
      arrived_on: order.arrivedOn,
      created_by: by,
      created_at: at,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  await tx
    .insertInto('order_event')
    .values(
      order.events.map(({ event, on }) => ({
        clinic_id: ids.clinic_id,
        order_id,
        event,
        made_by: by,
        made_at: new Date(`${on}T10:00:00Z`),
      })),
    )
    .execute();
}
