import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { planBreakIn } from '@/core/break-in/plan';
import { addDays } from '@/core/calendar/days';
import { type Actor, asTenant } from '@/server/database/tenant';
import { today } from '@/server/services/clock';
import { answerOuting, goOn, readBreakIn } from '@/server/services/pairs/break-in';
import { endPair } from '@/server/services/pairs/pair-log';
import { readPair } from '@/server/services/pairs/pair-records';
import { saveWeek } from '@/server/services/pairs/week';
import { erasePatient } from '@/server/services/patients/one-person';
import { changeClinic } from '@/server/services/people/clinic';
import { readRecall } from '@/server/services/recall/recall';
import { handOver } from '@/server/services/visits/hand-over';
import { saveStep, startVisit } from '@/server/services/visits/visits';
import { asOwner, freshDatabase, type TestDatabase } from './database';
import { handedOver as handedOverBy } from './handed-over';
import { refusal } from './signing-in';
import { wornModel, wornPair } from './worn-pair';

let db: TestDatabase;
let me: Actor;
let lead: Actor;
beforeAll(async () => {
  db = await freshDatabase();
  me = db.clinicA.practitioner;
  lead = db.clinicA.lead;
  await asTenant(lead, (tenant) => changeClinic(tenant, { phone: '055 019999', breakInSchool: 'alternate' }));
});
afterAll(() => db.drop());

const handedOver = (steps: Parameters<typeof handedOverBy>[1] = {}) => handedOverBy(me, steps);
const answer = (pairId: string, part: object) =>
  asTenant(me, (tenant) => answerOuting(tenant, pairId, { on: today(), felt: 'fine', ...part }));
const kinds = async (patientId: string) =>
  (await asTenant(me, (tenant) => readRecall(tenant)))
    .filter(({ patient }) => patient.id === patientId)
    .map(({ kind }) => kind);

describe('breaking in a pair that was handed over', () => {
  it('goes the clinic’s way unless the hand-over says another; the sheet names the clinic’s number', async () => {
    const usual = await handedOver();
    expect((await asTenant(me, (tenant) => readBreakIn(tenant, usual.pairId)))?.plan).toBe('alternate');
    expect(usual.sheet.phone).toBe('055 019999');
    expect(usual.sheet.breakIn.weeks.length).toBeGreaterThan(0);
    const asked = await handedOver({ input: { breakIn: 'short-first', eyeletPairs: 7, laces: 'round' } });
    expect((await asTenant(me, (tenant) => readBreakIn(tenant, asked.pairId)))?.plan).toBe('short-first');
    expect(asked.sheet.lacing).toMatchObject({ kind: 'laced', eyelets: { zones: [7], extra: false } });
  });

  it('is laid on the week and the events that were stated, and on what the pair before can still give', async () => {
    const before = await wornModel(me, { name: 'Before' });
    const event = { name: 'Island walk', on: addDays(today(), 4), km: 20 };
    const { pairId, sheet } = await handedOver({ ask: { events: [event] }, before });
    const input = (await asTenant(me, (tenant) => readBreakIn(tenant, pairId)))!;
    expect(input.oldLeft).not.toBeNull();
    expect(input.outings.reduce((sum, { amount }) => sum + amount, 0)).toBeCloseTo(18, 0);
    expect(planBreakIn(input).notes).toMatchObject([{ kind: 'event-in-old', name: 'Island walk' }]);
    expect(sheet.breakIn.lines.join(' ')).toContain('Island walk');
  });

  it('a week that was kept comes before the usual one', async () => {
    const first = await handedOver();
    await asTenant(me, (tenant) =>
      saveWeek(tenant, first.patientId, {
        sessions: [{ id: 'a', day: 2, activity: 'walking', kind: 'easy', amount: 5 }],
        settled: {},
      }),
    );
    // The next pair of the same person is planned on it.
    const model = await wornModel(me, { name: 'Next' });
    const { id: visitId } = await asTenant(me, (tenant) => startVisit(tenant, first.patientId));
    for (const [step, content] of [
      ['warnings', { checked: true, present: [] }],
      ['try-on', { tryOns: [{ model, sizeLeft: 39, sizeRight: 39, width: 'D', verdict: 'chosen' }] }],
    ] as const)
      await asTenant(me, (tenant) =>
        saveStep(tenant, visitId, step, { revision: 0, state: 'done', content }),
      );
    const { pairId } = await asTenant(me, (tenant) => handOver(tenant, visitId, {}));
    expect((await asTenant(me, (tenant) => readBreakIn(tenant, pairId)))?.outings).toEqual([
      { id: 'a', day: 2, amount: 5, isLong: false },
    ]);
  });

  it('three sore outings stand in Today as a refit, a very sore one as “stop”, and leave it when the pair is retired', async () => {
    const { patientId, pairId } = await handedOver();
    await asOwner(db, (client) =>
      client.query('update pair set started_on = $2 where id = $1', [pairId, addDays(today(), -10)]),
    );
    const sore = (days: number) => answer(pairId, { on: addDays(today(), -days), felt: 'mild' });
    expect((await sore(6)).state).toBe('going');
    expect((await sore(4)).state).toBe('going');
    expect(await kinds(patientId)).not.toContain('refit-due');
    expect((await sore(2)).state).toBe('refit');
    expect(await kinds(patientId)).toContain('refit-due');
    // A second answer of the same day puts the first right.
    expect((await answer(pairId, { on: addDays(today(), -2), felt: 'fine' })).state).toBe('going');
    expect((await answer(pairId, { felt: 'severe' })).state).toBe('stop');
    expect(await kinds(patientId)).toContain('stop-wearing');
    const page = await asTenant(me, (tenant) => readPair(tenant, pairId));
    expect(page.breakIn!.answers.map(({ felt }) => felt)).toEqual(['mild', 'mild', 'fine', 'severe']);
    await asTenant(me, (tenant) => endPair(tenant, pairId, { on: today(), because: 'hurt' }));
    expect(await kinds(patientId)).not.toContain('stop-wearing');
  });

  it('goes on once a clinician looked at it, and what was found is kept; sore again counts anew', async () => {
    const { patientId, pairId } = await handedOver();
    const seen = (found: string) => asTenant(me, (tenant) => goOn(tenant, pairId, { found }));
    expect((await refusal(seen('nothing to see'))).extra.errors).toEqual([
      { path: ['found'], message: 'Nothing holds this pair up.' },
    ]);
    await answer(pairId, { felt: 'severe' });
    expect(await kinds(patientId)).toContain('stop-wearing');
    expect(await seen('a fold in the sock, skin whole')).toEqual({ state: 'going' });
    expect(await kinds(patientId)).not.toContain('stop-wearing');
    const page = await asTenant(me, (tenant) => readPair(tenant, pairId));
    expect(planBreakIn(page.breakIn!).state).toBe('going');
    const { rows } = await asOwner(db, (client) =>
      client.query('select note, seen from outing_answer where pair_id = $1', [pairId]),
    );
    expect(rows).toEqual([{ note: 'a fold in the sock, skin whole', seen: true }]);
    // Answered anew, it is no longer what was looked at.
    expect((await answer(pairId, { felt: 'severe' })).state).toBe('stop');
  });

  it('a foot at risk has its own plan whatever the clinic does, and the first mark stops it', async () => {
    const { pairId, sheet } = await handedOver({
      feet: {
        findings: {
          left: { footLength: 244, sensation: 'lost', pulses: 'present' },
          right: { footLength: 245, sensation: 'felt', pulses: 'present' },
        },
      },
    });
    expect((await asTenant(me, (tenant) => readBreakIn(tenant, pairId)))?.plan).toBe('at-risk');
    expect(sheet.breakIn.weeks[0]!.text).toContain('45 minutes');
    expect((await answer(pairId, { marks: true })).state).toBe('stop');
  });

  it('an answer ahead, before the first day, of nobody’s plan or from another clinic is refused at its field', async () => {
    const { pairId } = await handedOver();
    const path = async (part: object) => (await refusal(answer(pairId, part))).extra.errors?.[0]?.path;
    expect(await path({ on: addDays(today(), 3) })).toEqual(['on']);
    expect(await path({ on: addDays(today(), -3) })).toEqual(['on']);
    const other = asTenant(db.clinicB.practitioner, (tenant) =>
      answerOuting(tenant, pairId, { on: today(), felt: 'fine' }),
    );
    expect((await refusal(other)).status).toBe(404);
    const { patientId } = await handedOver();
    const unplanned = await wornPair(
      me,
      patientId,
      await wornModel(me, { name: `Old another` }),
      addDays(today(), -9),
    );
    expect((await refusal(answer(unplanned, {}))).extra.errors?.[0]?.path).toEqual(['on']);
  });

  it('goes with the person', async () => {
    const { patientId, familyName, pairId } = await handedOver();
    await answer(pairId, { felt: 'mild' });
    await asTenant(lead, (tenant) => erasePatient(tenant, patientId, { familyName, reason: 'asked for' }));
    const { rows } = await asOwner(db, (client) =>
      client.query('select id from outing_answer where pair_id = $1', [pairId]),
    );
    expect(rows).toEqual([]);
  });
});
