import { sql } from 'kysely';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { addDays } from '@/core/calendar/days';
import { type Actor, asTenant } from '@/server/database/tenant';
import { today } from '@/server/services/clock';
import { saveHouseRules } from '@/server/services/knowledge/knowledge';
import { careForPairs } from '@/server/services/pairs/care';
import { refreshForecasts } from '@/server/services/pairs/forecasts';
import { inspectPair } from '@/server/services/pairs/inspections';
import { toLearn } from '@/server/services/pairs/learned-lives';
import { readModelLife } from '@/server/services/pairs/model-life';
import { endPair, logPair } from '@/server/services/pairs/pair-log';
import { readPair } from '@/server/services/pairs/pair-records';
import { readRepeat } from '@/server/services/pairs/repeat';
import { readTimeLine } from '@/server/services/pairs/time-line';
import { readWeek, saveWeek } from '@/server/services/pairs/week';
import { addConsent, withdrawConsent } from '@/server/services/patients/consents';
import { erasePatient } from '@/server/services/patients/one-person';
import { changeClinic } from '@/server/services/people/clinic';
import { readRecall } from '@/server/services/recall/recall';
import { closeVisit, saveStep, startVisit } from '@/server/services/visits/visits';
import { freshDatabase, type TestDatabase } from './database';
import { refusal } from './signing-in';
import { somebodyCalled, wornModel, wornPair } from './worn-pair';

let db: TestDatabase;
let me: Actor;
let lead: Actor;
beforeAll(async () => {
  db = await freshDatabase();
  me = db.clinicA.practitioner;
  lead = db.clinicA.lead;
});
afterAll(() => db.drop());

let names = 0;
const somebody = () => {
  names += 1;
  return somebodyCalled(me, `Pair${names}`);
};
const ago = (days: number) => addDays(today(), -days);
const log = (pairId: string, entry: object) =>
  asTenant(me, (tenant) => logPair(tenant, pairId, { on: today(), ...entry }));
const inspect = (pairId: string, entry: object) =>
  asTenant(me, (tenant) => inspectPair(tenant, pairId, { on: today(), ...entry }));
const read = async (pairId: string) => (await asTenant(me, (tenant) => readPair(tenant, pairId))).pair;
const due = async (patientId: string) =>
  (await asTenant(me, (tenant) => readRecall(tenant)))
    .filter(({ patient }) => patient.id === patientId)
    .map(({ kind }) => kind);

describe('an inspection', () => {
  it('moves the window, says from what, and puts the pair on the list of today', async () => {
    const patientId = await somebody();
    const model = await wornModel(me, { name: 'Fell' });
    const pairId = await wornPair(me, patientId, model, ago(120), { expected_weekly_km: 20 });
    const before = await read(pairId);
    expect(before.forecast.state).toBe('in-life');
    expect(await due(patientId)).toEqual([]);
    await inspect(pairId, { signs: { fold: 'none', foam: 'yes', creases: 'inner-late' }, heat: true });
    const after = await read(pairId);
    expect(after.window!.middle < before.window!.middle).toBe(true);
    expect(after.forecast.inspected!.before.q50).toBeGreaterThan(after.forecast.life.q50);
    expect(after.forecast.inspected!.spent).toBeGreaterThan(0.6);
    expect(after.forecast.adjustments.join()).toContain('kept in heat');
    expect(after.inspections).toMatchObject([{ on: today(), content: { signs: { fold: 'none' } } }]);
    expect(await due(patientId)).not.toEqual([]);
  });

  it('logs what the pair was used since, and refuses what lies ahead, before, after, or says nothing', async () => {
    const patientId = await somebody();
    const pairId = await wornPair(me, patientId, await wornModel(me, { name: 'Moor' }), ago(60));
    await inspect(pairId, { since: 180, signs: { fold: 'springs' } });
    expect((await read(pairId)).forecast).toMatchObject({ used: 180, basis: 'log' });
    const path = async (entry: object) => (await refusal(inspect(pairId, entry))).extra.errors?.[0]?.path;
    expect(await path({})).toEqual(['signs']);
    expect(await path({ signs: { fold: 'none' }, on: addDays(today(), 3) })).toEqual(['on']);
    expect(await path({ signs: { fold: 'none' }, on: ago(61) })).toEqual(['on']);
    await asTenant(me, (tenant) => endPair(tenant, pairId, { on: ago(1), because: 'hurt' }));
    expect(await path({ signs: { fold: 'none' } })).toEqual(['on']);
    expect((await read(pairId)).endedBecause).toBe('hurt');
  });

  it('goes with the person', async () => {
    const patientId = await somebody();
    const pairId = await wornPair(me, patientId, await wornModel(me, { name: 'Tarn' }), ago(60));
    await inspect(pairId, { note: 'squeaks' });
    await asTenant(lead, (tenant) =>
      erasePatient(tenant, patientId, { familyName: `Pair${names}`, reason: 'asked for' }),
    );
    const left = await asTenant(me, ({ tx }) =>
      tx.selectFrom('inspection').select('id').where('pair_id', '=', pairId).execute(),
    );
    expect(left).toEqual([]);
  });

  it('of another clinic’s pair is refused', async () => {
    const patientId = await somebody();
    const pairId = await wornPair(me, patientId, await wornModel(me, { name: 'Beck' }), ago(60));
    const other = db.clinicB.practitioner;
    const said = asTenant(other, (tenant) => inspectPair(tenant, pairId, { on: today(), note: 'seen' }));
    expect((await refusal(said)).status).toBe(404);
  });
});

describe('lives that a clinic’s pairs teach', () => {
  const retired = async (model: string, km: number, because: 'worn-out' | 'hurt' = 'worn-out') => {
    const patientId = await somebody();
    const pairId = await wornPair(me, patientId, model, ago(200));
    await log(pairId, { on: ago(30), distanceKm: km });
    await asTenant(me, (tenant) => endPair(tenant, pairId, { on: ago(1), because }));
    return patientId;
  };

  it('pairs that were worn out early shorten the life of their model, of one in use, and less of its relatives', async () => {
    const model = await wornModel(me, { maker: 'Earlymaker', name: 'Short' });
    const cousin = await wornModel(me, { maker: 'Earlymaker', name: 'Cousin' });
    const wearer = await somebody();
    const inUse = await wornPair(me, wearer, model, ago(30), { expected_weekly_km: 20 });
    await careForPairs(me.clinicId);
    const before = await read(inUse);
    for (const km of [240, 260, 280, 300, 250, 270, 230, 290]) await retired(model, km);
    const done = await careForPairs(me.clinicId);
    expect(done.learned).toBe(true);
    const after = await read(inUse);
    expect(after.forecast.life).toMatchObject({ from: 'learned' });
    expect(after.forecast.life.pairs).toBeGreaterThanOrEqual(8);
    expect(after.forecast.life.q50).toBeLessThan(before.forecast.life.q50 * 0.85);
    const life = (id: string) => asTenant(me, (tenant) => readModelLife(tenant, id));
    const [own, kin] = [await life(model), await life(cousin)];
    expect(own.learned).toMatchObject({ wornOut: 8 });
    expect(own.learned!.life.q50).toBeLessThan(kin.learned!.life.q50);
    expect(kin.learned!.life.q50).toBeLessThan(kin.stated.q50);
    expect(own.learned!.effects.map(({ factor }) => factor)).toContain('mass');
    // Nothing is due any more.
    expect(await careForPairs(me.clinicId)).toEqual({ learned: false, refreshed: 0 });
  });

  it('a pair that hurt has lasted at least so long, and whoever took the consent back teaches nothing', async () => {
    const model = await wornModel(me, { maker: 'Latemaker', name: 'Hurt' });
    const patientId = await retired(model, 250, 'hurt');
    const asked = async () =>
      (await asTenant(me, (tenant) => toLearn(tenant, 'median'))).asked.pairs.filter(
        ({ maker }) => maker === 'Latemaker',
      );
    expect(await asked()).toMatchObject([{ isWornOut: false, countError: 0.1 }]);
    const { id } = await asTenant(me, (tenant) =>
      addConsent(tenant, patientId, { kind: 'learning', how: 'spoken', givenOn: ago(20) }),
    );
    expect(await asked()).toHaveLength(1);
    await asTenant(me, (tenant) => withdrawConsent(tenant, id, ago(2)));
    expect(await asked()).toEqual([]);
  });

  it('another school is learned anew, and no forecast rests on the old one', async () => {
    const patientId = await somebody();
    const pairId = await wornPair(me, patientId, await wornModel(me, { name: 'School' }), ago(30), {
      expected_weekly_km: 20,
    });
    await careForPairs(me.clinicId);
    const before = await read(pairId);
    await asTenant(lead, (tenant) => changeClinic(tenant, { lifeSchool: 'cautious' }));
    expect((await careForPairs(me.clinicId)).learned).toBe(true);
    expect((await read(pairId)).forecast.life.q50).toBeLessThan(before.forecast.life.q50);
    await asTenant(lead, (tenant) => changeClinic(tenant, { lifeSchool: 'median' }));
    await careForPairs(me.clinicId);
  });
});

describe('lists read forecasts', () => {
  it('the pairs that are due come by an index, whatever else the clinic has', async () => {
    const plan = await asTenant(me, async ({ tx }) => {
      await sql`set local enable_seqscan = off`.execute(tx);
      const { rows } = await sql<{ 'QUERY PLAN': string }>`explain select patient_id from pair
        where ended_on is null and start_next_on <= ${today()} order by start_next_on`.execute(tx);
      return rows.map((row) => row['QUERY PLAN']).join('\n');
    });
    expect(plan).toContain('pair_by_start_next');
  });

  it('a night later every forecast is that day’s', async () => {
    const patientId = await somebody();
    const pairId = await wornPair(me, patientId, await wornModel(me, { name: 'Night' }), ago(100));
    await log(pairId, { distanceKm: 300 });
    const before = await read(pairId);
    await asTenant(me, (tenant) => refreshForecasts(tenant, { outdated: 5000 }, addDays(today(), 60)));
    const after = await read(pairId);
    // Nothing more was logged: the same distance in more days is a slower week.
    expect(after.forecast.weekly!).toBeLessThan(before.forecast.weekly!);
    expect(after.window!.middle > before.window!.middle).toBe(true);
  });

  it('two pairs share the stated week; with one retired the other has it whole', async () => {
    const patientId = await somebody();
    const model = await wornModel(me, { name: 'Shared' });
    const [one, other] = [
      await wornPair(me, patientId, model, ago(10), { expected_weekly_km: 30 }),
      await wornPair(me, patientId, model, ago(10), { expected_weekly_km: 30 }),
    ];
    expect((await read(one)).forecast.weekly).toBe(15);
    await asTenant(me, (tenant) => endPair(tenant, other, { on: today(), because: 'lost' }));
    expect((await read(one)).forecast.weekly).toBe(30);
  });
});

describe('a patient’s week', () => {
  const week = (patientId: string) => asTenant(me, (tenant) => readWeek(tenant, patientId));
  const run = (id: string, day: number, amount = 10) => ({
    id,
    day,
    amount,
    activity: 'walking' as const,
    kind: 'easy' as const,
  });

  it('is proposed from what was stated, kept with what was settled, and gives each pair its own use', async () => {
    const patientId = await somebody();
    const model = await wornModel(me, { name: 'Week' });
    const one = await wornPair(me, patientId, model, ago(60), { expected_weekly_km: 30 });
    const other = await wornPair(me, patientId, model, ago(20), { expected_weekly_km: 30 });
    const proposed = await week(patientId);
    expect(proposed.isSaved).toBe(false);
    expect(proposed.sessions.reduce((sum, { amount }) => sum + amount, 0)).toBeCloseTo(30, 0);
    const kept = await asTenant(me, (tenant) =>
      saveWeek(tenant, patientId, {
        sessions: [run('a', 0), run('b', 3, 20)],
        settled: { a: one, b: other },
      }),
    );
    expect(kept).toMatchObject({ isSaved: true, settled: { a: one, b: other } });
    expect((await read(one)).forecast.weekly).toBe(10);
    expect((await read(other)).forecast.weekly).toBe(20);
    // A pair that is retired gives its outings back.
    await asTenant(me, (tenant) => endPair(tenant, other, { on: today(), because: 'other' }));
    expect((await week(patientId)).settled).toEqual({ a: one });
  });

  it('goes with the person, and belongs to one clinic', async () => {
    const patientId = await somebody();
    await asTenant(me, (tenant) => saveWeek(tenant, patientId, { sessions: [run('a', 0)], settled: {} }));
    const other = asTenant(db.clinicB.practitioner, (tenant) => readWeek(tenant, patientId));
    expect((await refusal(other)).status).toBe(404);
    await asTenant(lead, (tenant) =>
      erasePatient(tenant, patientId, { familyName: `Pair${names}`, reason: 'asked for' }),
    );
    const left = await asTenant(me, ({ tx }) =>
      tx.selectFrom('week_plan').select('patient_id').where('patient_id', '=', patientId).execute(),
    );
    expect(left).toEqual([]);
  });
});

describe('the same again, and the line of pairs and aches', () => {
  it('a pair of which nothing was read is tried on, and of another clinic is not found', async () => {
    const patientId = await somebody();
    const pairId = await wornPair(me, patientId, await wornModel(me, { name: 'Again' }), ago(60));
    expect(await asTenant(me, (tenant) => readRepeat(tenant, pairId))).toMatchObject({
      may: 'come-in',
      chance: null,
    });
    const other = asTenant(db.clinicB.practitioner, (tenant) => readRepeat(tenant, pairId));
    expect((await refusal(other)).status).toBe(404);
  });

  it('an ache with a first day stands on the line with what changed before it', async () => {
    const patientId = await somebody();
    const model = await wornModel(me, { name: 'Line' });
    await wornPair(me, patientId, model, ago(30), { expected_weekly_km: 20 });
    const { id: visitId } = await asTenant(me, (tenant) => startVisit(tenant, patientId));
    await asTenant(me, (tenant) =>
      saveStep(tenant, visitId, 'ask', {
        revision: 0,
        state: 'in-progress',
        content: {
          findings: {},
          marks: [
            {
              id: 'm',
              side: 'left',
              view: 'back',
              site: 'calf',
              x: 52,
              y: 122,
              layer: 'ache',
              since: ago(10),
            },
          ],
        },
      }),
    );
    const line = await asTenant(me, (tenant) => readTimeLine(tenant, patientId));
    expect(line.aches).toMatchObject([{ site: 'calf', side: 'left', since: ago(10) }]);
    expect(line.aches[0]!.reading.causes[0]).toMatchObject({ kind: 'pair-started', days: 20 });
  });

  it('what a visit saw of a pair of this clinic is an inspection of it once the visit ends', async () => {
    const patientId = await somebody();
    const pairId = await wornPair(me, patientId, await wornModel(me, { name: 'Brought' }), ago(90), {
      expected_weekly_km: 20,
    });
    const { id: visitId } = await asTenant(me, (tenant) => startVisit(tenant, patientId));
    await asTenant(me, (tenant) =>
      saveStep(tenant, visitId, 'old-pair', {
        revision: 0,
        state: 'in-progress',
        content: {
          findings: {},
          pairs: [{ id: 'p', title: 'Brought', pair: pairId, use: 'walking', signs: { fold: 'none' } }],
        },
      }),
    );
    expect((await read(pairId)).inspections).toEqual([]);
    await asTenant(me, (tenant) => closeVisit(tenant, visitId, 'only looked at the pair'));
    const after = await read(pairId);
    expect(after.inspections).toMatchObject([{ on: today(), content: { signs: { fold: 'none' } } }]);
    expect(after.forecast.inspected).not.toBeNull();
  });

  it('a clinic that takes no sign for anything has windows that no sign moves', async () => {
    const patientId = await somebody();
    const pairId = await wornPair(me, patientId, await wornModel(me, { name: 'Deaf' }), ago(90), {
      expected_weekly_km: 20,
    });
    await inspect(pairId, { signs: { fold: 'none' } });
    const moved = (await read(pairId)).forecast;
    expect(moved.life.q50).toBeLessThan(moved.inspected!.before.q50);
    await asTenant(lead, (tenant) =>
      saveHouseRules(tenant, {
        basedOn: 0,
        changes: [],
        settings: { signStrengths: { fold: 0 } },
        note: 'trial',
      }),
    );
    await careForPairs(me.clinicId);
    const still = (await read(pairId)).forecast;
    expect(still.life.q50 / still.inspected!.before.q50).toBeCloseTo(1, 6);
  });
});
