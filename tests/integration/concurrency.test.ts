import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Actor, asTenant } from '@/server/database/tenant';
import type { Refusal } from '@/server/http/problem';
import { orderPair } from '@/server/services/orders/orders';
import { addPatient } from '@/server/services/patients/patients';
import { handOver } from '@/server/services/visits/hand-over';
import { closeVisit, loadVisit, saveStep, startVisit } from '@/server/services/visits/visits';
import { freshDatabase, type TestDatabase } from './database';
import { usualModel } from './usual-model';

let db: TestDatabase;
let me: Actor;
let modelId: string;

beforeAll(async () => {
  db = await freshDatabase();
  me = db.clinicA.practitioner;
  modelId = await usualModel(me, { stock: { '39 B': 100 } });
});
afterAll(() => db.drop());

const patient = () =>
  asTenant(me, (tenant) =>
    addPatient(tenant, { givenName: 'Vera', familyName: 'Test', bornOn: '1970-05-06', sizingGroup: 'women' }),
  );

const save = (
  visitId: string,
  step: Parameters<typeof saveStep>[2],
  content: unknown,
  revision = 0,
  who = me,
) => asTenant(who, (tenant) => saveStep(tenant, visitId, step, { revision, state: 'done', content }));

/** A visit that could be handed over at once. */
async function ready(): Promise<string> {
  const { id } = await patient();
  const visit = await asTenant(me, (tenant) => startVisit(tenant, id));
  await save(visit.id, 'ask', { findings: { body: { activities: ['walking'], bodyMass: 70 } } });
  await save(visit.id, 'feet', { findings: { left: { footLength: 244 }, right: { footLength: 245 } } });
  await save(visit.id, 'try-on', {
    tryOns: [{ model: modelId, sizeLeft: 39, sizeRight: 39, width: 'B', comfort: 71, verdict: 'chosen' }],
  });
  await save(visit.id, 'warnings', { checked: true, present: [] });
  return visit.id;
}

const issue = (visitId: string) => asTenant(me, (tenant) => handOver(tenant, visitId, {}));
const order = (visitId: string) => asTenant(me, (tenant) => orderPair(tenant, visitId, {}));

/** What became of several at once. */
async function atOnce(...works: Promise<unknown>[]): Promise<{ done: number; refused: Refusal[] }> {
  const ends = await Promise.allSettled(works);
  return {
    done: ends.filter(({ status }) => status === 'fulfilled').length,
    refused: ends.flatMap((end) => (end.status === 'rejected' ? [end.reason] : [])),
  };
}

describe('several at once', () => {
  it('two people hand over the same model to two patients: both succeed, and both boxes leave the shelf', async () => {
    for (let round = 0; round < 8; round += 1) {
      const visits = await Promise.all([ready(), ready(), ready()]);
      expect((await atOnce(...visits.map(issue))).refused).toEqual([]);
    }
    const stock = await asTenant(me, ({ tx }) =>
      tx.selectFrom('shoe_model').select('stock').where('id', '=', modelId).executeTakeFirstOrThrow(),
    );
    expect(stock.stock['39 B']).toBe(100 - 24);
  });

  it('one visit is handed over once; the second is told what happened', async () => {
    const visitId = await ready();
    const { done, refused } = await atOnce(issue(visitId), issue(visitId), issue(visitId));
    expect(done).toBe(1);
    for (const one of refused) {
      expect(one.status).toBe(409);
      expect(one.message).toMatch(/Handed over at \d\d:\d\d UTC by practitioner a: Testmaker One 1\./);
    }
  });

  it('a hand-over and an order of one visit: one of them', async () => {
    for (let round = 0; round < 6; round += 1) {
      const visitId = await ready();
      const { done, refused } = await atOnce(issue(visitId), order(visitId));
      expect(done).toBe(1);
      expect(refused.map(({ status }) => status)).toEqual([409]);
    }
  });

  it('closing and handing over: one of them', async () => {
    const visitId = await ready();
    const close = asTenant(me, (tenant) => closeVisit(tenant, visitId, 'review only'));
    const { done, refused } = await atOnce(issue(visitId), close);
    expect(done).toBe(1);
    expect(refused[0]?.status).toBe(409);
  });

  it('eight people begin a visit with one patient: it is one visit', async () => {
    const { id } = await patient();
    const visits = await Promise.all(
      Array.from({ length: 8 }, () => asTenant(me, (tenant) => startVisit(tenant, id))),
    );
    expect(new Set(visits.map((visit) => visit.id)).size).toBe(1);
  });

  it('a save that was acknowledged is in what was issued; one that came too late is refused', async () => {
    for (let round = 0; round < 12; round += 1) {
      const visitId = await ready();
      const late = save(visitId, 'ask', { findings: { body: { activities: ['walking'], bodyMass: 91 } } }, 1);
      const [saved, issued] = await Promise.allSettled([late, issue(visitId)]);
      expect(issued.status).toBe('fulfilled');
      const { picture } = await asTenant(me, ({ tx }) =>
        tx
          .selectFrom('specification')
          .select('picture')
          .where('visit_id', '=', visitId)
          .executeTakeFirstOrThrow(),
      );
      expect(picture.body?.bodyMass).toBe(saved.status === 'fulfilled' ? 91 : 70);
    }
  });

  it('saves of different steps do not wait for each other', async () => {
    const visitId = await ready();
    await expect(
      Promise.all([
        save(visitId, 'load', { findings: { body: {} } }),
        save(visitId, 'move', { findings: { body: {} } }),
        save(visitId, 'old-pair', { findings: { body: {} } }),
      ]),
    ).resolves.toHaveLength(3);
  });
});

describe('what an assistant may not do within what an assistant may do', () => {
  const statusOf = (work: Promise<unknown>) =>
    work.then(
      () => null,
      (error: Refusal) => error.status,
    );

  it('deciding is for clinicians; turning to another pair, a note or a what-if is for everybody', async () => {
    const visitId = await ready();
    const { assistant } = db.clinicA;
    expect(
      await statusOf(
        save(
          visitId,
          'reason',
          { setAside: [{ rule: 'tight-calf', feature: 'drop', reason: 'no heel wedge here' }] },
          0,
          assistant,
        ),
      ),
    ).toBe(403);
    expect(await statusOf(save(visitId, 'reason', { school: 'comfort' }, 0, assistant))).toBe(403);
    await expect(
      save(visitId, 'reason', { note: 'asks for softer ones' }, 0, assistant),
    ).resolves.toBeTruthy();
    expect(await statusOf(save(visitId, 'warnings', { checked: true, present: [] }, 1, assistant))).toBe(403);
    const visit = await asTenant(me, (tenant) => loadVisit(tenant, visitId));
    expect(visit.steps.find(({ step }) => step === 'reason')?.content).toEqual({
      note: 'asks for softer ones',
    });
  });
});
