import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { addDays } from '@/core/calendar/days';
import { type Actor, asTenant } from '@/server/database/tenant';
import { today } from '@/server/services/clock';
import { insightsAsCsv, readInsights } from '@/server/services/insights/pairs';
import { keepOutcome } from '@/server/services/pairs/outcomes';
import { endPair } from '@/server/services/pairs/pair-log';
import { readPair } from '@/server/services/pairs/pair-records';
import { erasePatient } from '@/server/services/patients/one-person';
import { readRecall } from '@/server/services/recall/recall';
import { startVisit } from '@/server/services/visits/visits';
import { asOwner, freshDatabase, type TestDatabase } from './database';
import { handedOver } from './handed-over';
import { refusal } from './signing-in';

let db: TestDatabase;
let me: Actor;
beforeAll(async () => {
  db = await freshDatabase();
  me = db.clinicA.practitioner;
});
afterAll(() => db.drop());

const keep = (pairId: string, part: Omit<Parameters<typeof keepOutcome>[2], 'on'> & { on?: string }) =>
  asTenant(me, (tenant) => keepOutcome(tenant, pairId, { on: today(), ...part }));
const kinds = async (patientId: string) =>
  (await asTenant(me, (tenant) => readRecall(tenant)))
    .filter(({ patient }) => patient.id === patientId)
    .map(({ kind }) => kind);
/** As if the pair had been handed over so many days ago. */
const since = (pairId: string, days: number) =>
  asOwner(db, async (client) => {
    const on = addDays(today(), -days);
    await client.query('update pair set started_on = $2, outcomes_due_on = $3 where id = $1', [
      pairId,
      on,
      addDays(on, 14),
    ]);
    await client.query('update outcome set taken_on = $2 where pair_id = $1', [pairId, on]);
  });

describe('outcomes of a pair', () => {
  it('begin with the comfort of the fitting and the pain of the visit, and are due two weeks later', async () => {
    const { pairId, patientId } = await handedOver(me, {
      ask: {
        findings: {
          body: { activities: ['walking'], bodyMass: 70, weeklyDistance: 18 },
          left: { pain: ['achilles-mid'], worstPain: 5 },
          right: { pain: ['achilles-mid'], worstPain: 3 },
        },
      },
    });
    const { outcomes } = await asTenant(me, (tenant) => readPair(tenant, pairId));
    expect(outcomes).toMatchObject({
      dueOn: addDays(today(), 14),
      taken: [{ on: today(), comfort: 71, pain: 5 }],
    });
    expect(await kinds(patientId)).not.toContain('outcomes-due');
    await since(pairId, 15);
    expect(await kinds(patientId)).toContain('outcomes-due');
    const after = await keep(pairId, { comfort: 85, pain: 2, activities: [{ name: 'stairs', score: 6 }] });
    expect(after.taken).toHaveLength(2);
    expect(after.dueOn).toBe(addDays(today(), 42 - 15));
    expect(await kinds(patientId)).not.toContain('outcomes-due');
  });

  it('of one day put each other right; days before the pair, ahead, and of another clinic are refused', async () => {
    const { pairId } = await handedOver(me);
    await keep(pairId, { comfort: 40 });
    const { taken } = await keep(pairId, { comfort: 60 });
    expect(taken.map(({ comfort }) => comfort)).toEqual([60]);
    const path = async (on: string) => (await refusal(keep(pairId, { on, comfort: 5 }))).extra.errors?.[0];
    expect((await path(addDays(today(), -3)))?.path).toEqual(['on']);
    expect((await path(addDays(today(), 5)))?.message).toContain('in the future');
    const other = asTenant(db.clinicB.practitioner, (tenant) =>
      keepOutcome(tenant, pairId, { on: today(), comfort: 5 }),
    );
    expect((await refusal(other)).status).toBe(404);
  });

  it('with open skin or a fall stand in Today until the person is seen, or it is well at a later day', async () => {
    const first = await handedOver(me);
    await since(first.pairId, 20);
    await keep(first.pairId, { on: addDays(today(), -1), skin: ['ulcer'] });
    expect(await kinds(first.patientId)).toContain('outcome-alarm');
    await asTenant(me, (tenant) => startVisit(tenant, first.patientId));
    expect(await kinds(first.patientId)).not.toContain('outcome-alarm');
    const second = await handedOver(me);
    await since(second.pairId, 20);
    await keep(second.pairId, { on: addDays(today(), -1), falls: 1 });
    expect(await kinds(second.patientId)).toContain('outcome-alarm');
    await keep(second.pairId, { falls: 0 });
    expect(await kinds(second.patientId)).not.toContain('outcome-alarm');
  });

  it('are asked of no pair that was retired, and are forgotten with the person', async () => {
    const { pairId, patientId, familyName } = await handedOver(me);
    await since(pairId, 30);
    await asTenant(me, (tenant) => endPair(tenant, pairId, { on: today(), because: 'worn-out' }));
    expect(await kinds(patientId)).not.toContain('outcomes-due');
    await asTenant(db.clinicA.lead, (tenant) =>
      erasePatient(tenant, patientId, { familyName, reason: 'asked for' }),
    );
    const { rows } = await asOwner(db, (client) =>
      client.query('select count(*)::int as left from outcome where pair_id = $1', [pairId]),
    );
    expect(rows).toEqual([{ left: 0 }]);
  });
});

describe('what became of the pairs', () => {
  it('is counted over the clinic, of groups that are large enough, and goes out as a table', async () => {
    const retired = await handedOver(me);
    await since(retired.pairId, 120);
    await asTenant(me, (tenant) => endPair(tenant, retired.pairId, { on: today(), because: 'worn-out' }));
    const hurting = await handedOver(me);
    await asTenant(me, (tenant) => endPair(tenant, hurting.pairId, { on: today(), because: 'hurt' }));
    const read = (query: Parameters<typeof readInsights>[1]) =>
      asTenant(me, (tenant) => readInsights(tenant, query));
    const { groups } = await read({ least: 1 });
    const total = groups.reduce((sum, group) => sum + group.pairs, 0);
    const { rows } = await asOwner(db, (client) =>
      client.query('select count(*)::int as pairs from pair where clinic_id = $1 and not erased', [
        me.clinicId,
      ]),
    );
    expect(total).toBe(rows[0].pairs);
    expect(groups[0]!.hurt.count).toBe(1);
    expect(groups[0]!.steps.map(({ time }) => time)).toContain(120);
    // Of one person somebody could be told: nothing is shown of groups that are too small.
    const many = await read({ by: 'model', least: 50 });
    expect(many.groups).toEqual([]);
    expect(many.withheld).toBeGreaterThan(0);
    const csv = await (await asTenant(me, (tenant) => insightsAsCsv(tenant, { least: 1 }))).text();
    expect(csv.split('\n')[0]).toMatch(/^group,pairs,patients,worn_out,median_days/);
    expect(csv.split('\n')).toHaveLength(groups.length + 1);
    expect((await asTenant(db.clinicB.practitioner, (tenant) => readInsights(tenant, {}))).groups).toEqual(
      [],
    );
  });
});
