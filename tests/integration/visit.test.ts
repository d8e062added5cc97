import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { clinicalPicture } from '@/core/examination/clinical-picture';
import { resolve } from '@/core/prescribe/engine/resolve';
import { contentsOf } from '@/core/visit/held';
import { turnToPair } from '@/core/visit/pair-work';
import { type Actor, asTenant } from '@/server/database/tenant';
import type { Refusal } from '@/server/http/problem';
import { today } from '@/server/services/clock';
import { endPair, logPair } from '@/server/services/pairs/pair-log';
import { addPatient, readPatient } from '@/server/services/patients/patients';
import { readRecall } from '@/server/services/recall/recall';
import { handOver } from '@/server/services/visits/hand-over';
import { readRationale } from '@/server/services/visits/rationales';
import { readSheet } from '@/server/services/visits/sheets';
import { closeVisit, loadVisit, notePresence, saveStep, startVisit } from '@/server/services/visits/visits';
import { freshDatabase, type TestDatabase } from './database';
import { usualModel } from './usual-model';

let db: TestDatabase;
let me: Actor;
let modelId: string;

beforeAll(async () => {
  db = await freshDatabase();
  me = db.clinicA.practitioner;
  modelId = await usualModel(me);
});
afterAll(() => db.drop());

async function openVisit(): Promise<{ patientId: string; visitId: string }> {
  return asTenant(me, async (tenant) => {
    const { id } = await addPatient(tenant, {
      givenName: 'Vera',
      familyName: 'Test',
      bornOn: '1970-05-06',
      sizingGroup: 'women',
    });
    return { patientId: id, visitId: (await startVisit(tenant, id)).id };
  });
}
const save = (
  visitId: string,
  step: Parameters<typeof saveStep>[2],
  content: unknown,
  revision = 0,
  who = me,
) => asTenant(who, (tenant) => saveStep(tenant, visitId, step, { revision, state: 'done', content }));
const refusal = async (work: Promise<unknown>): Promise<Refusal> =>
  work.then(
    () => {
      throw new Error('was not refused');
    },
    (error) => error,
  );

describe('saving steps', () => {
  it('a step saved at an old revision is refused with the version that stands, and nothing is overwritten', async () => {
    const { visitId } = await openVisit();
    const mine = { findings: { body: { falls: 1 } } };
    await save(visitId, 'ask', mine);
    await save(visitId, 'ask', { findings: { body: { falls: 2 } } }, 1, db.clinicA.assistant);
    const refused = await refusal(save(visitId, 'ask', { findings: { body: { falls: 3 } } }, 1));
    expect(refused.status).toBe(409);
    expect(refused.extra.current).toMatchObject({
      revision: 2,
      savedBy: 'assistant a',
      content: { findings: { body: { falls: 2 } } },
    });
    expect((await refusal(save(visitId, 'ask', mine, 0))).status).toBe(409);
  });

  it('two first saves at once: one wins, the other is told', async () => {
    const { visitId } = await openVisit();
    const tries = await Promise.allSettled(
      [1, 2, 3].map((falls) => save(visitId, 'ask', { findings: { body: { falls } } })),
    );
    expect(tries.filter((entry) => entry.status === 'fulfilled')).toHaveLength(1);
  });

  it('an impossible value is refused with its path', async () => {
    const { visitId } = await openVisit();
    const refused = await refusal(save(visitId, 'feet', { findings: { left: { footLength: 26.5 } } }));
    expect(refused.status).toBe(422);
    expect(refused.extra.errors?.[0]?.path).toEqual(['content', 'findings', 'left', 'footLength']);
  });

  it('tells who else is on the visit', async () => {
    const { visitId } = await openVisit();
    await asTenant(db.clinicA.assistant, (tenant) => notePresence(tenant, visitId, 'feet'));
    const answer = await asTenant(me, (tenant) => notePresence(tenant, visitId, 'ask'));
    expect(answer.others).toMatchObject([{ name: 'assistant a', step: 'feet' }]);
  });

  it('history carries over to the next visit, measures do not', async () => {
    const { patientId, visitId } = await openVisit();
    await save(visitId, 'ask', {
      findings: { body: { conditions: ['diabetes'], falls: 2 }, left: { injuries: ['foot-ulcer'] } },
    });
    await asTenant(me, (tenant) => closeVisit(tenant, visitId, 'review only'));
    const next = await asTenant(me, async (tenant) =>
      loadVisit(tenant, (await startVisit(tenant, patientId)).id),
    );
    expect(next.carried?.findings.body).toEqual({ conditions: ['diabetes'] });
    expect(next.carried?.findings.left).toEqual({ injuries: ['foot-ulcer'] });
  });
});

describe('handing over', () => {
  const findings = {
    body: { activities: ['walking'], bodyMass: 70 },
    left: { footLength: 244, pain: ['achilles-mid'] },
    right: { footLength: 245 },
  };
  async function ready(): Promise<{ patientId: string; visitId: string }> {
    const visit = await openVisit();
    await save(visit.visitId, 'ask', { findings: { body: findings.body, left: { pain: ['achilles-mid'] } } });
    await save(visit.visitId, 'feet', {
      findings: { left: { footLength: 244 }, right: { footLength: 245 } },
    });
    await save(visit.visitId, 'try-on', {
      tryOns: [{ model: modelId, sizeLeft: 39, sizeRight: 39, width: 'B', comfort: 71, verdict: 'chosen' }],
    });
    return visit;
  }
  const issue = (visitId: string, input = {}) => asTenant(me, (tenant) => handOver(tenant, visitId, input));

  it('is refused while warning signs are unchecked or unanswered', async () => {
    const { visitId } = await ready();
    const unchecked = await refusal(issue(visitId));
    expect(unchecked.status).toBe(422);
    expect(unchecked.extra.errors?.map((error) => error.path[0])).toEqual(['warnings']);
    await save(visitId, 'warnings', { checked: true, present: [{ sign: 'open-wound', action: 'referred' }] });
    expect((await refusal(issue(visitId))).extra.errors?.[0]?.path).toEqual(['warnings', 'open-wound']);
    await save(
      visitId,
      'warnings',
      {
        checked: true,
        present: [
          { sign: 'open-wound', action: 'referred', to: 'wound clinic', on: '2030-01-02', how: 'telephone' },
        ],
      },
      1,
    );
    await expect(issue(visitId)).resolves.toMatchObject({ sheet: { shoe: 'Testmaker One 1' } });
  });

  it('several pairs: each is issued under its purpose with its own sheet, none twice, and the last ends the visit', async () => {
    const { patientId, visitId } = await openVisit();
    const tried = (comfort: number) => ({
      tryOns: [{ model: modelId, sizeLeft: 39, sizeRight: 39, width: 'B', comfort, verdict: 'chosen' }],
    });
    await save(visitId, 'ask', { findings: { body: { activities: ['dress', 'everyday'] } } });
    await save(visitId, 'warnings', { checked: true });
    await save(visitId, 'try-on', tried(70));
    await issue(visitId, { weeklyKm: 2 });
    const between = await asTenant(me, (tenant) => loadVisit(tenant, visitId));
    expect(between.closedAt).toBeNull();
    expect(between.issued.map(({ purpose }) => purpose)).toEqual(['dress']);
    // The same pair again is refused; a second visit is not begun meanwhile.
    const again = await refusal(issue(visitId));
    expect(again.status).toBe(409);
    expect(again.message).toMatch(/issued already. Handed over at \d\d:\d\d UTC by practitioner a: /);
    expect((await asTenant(me, (tenant) => startVisit(tenant, patientId))).id).toBe(visitId);
    const contents = contentsOf(between.steps);
    const turned = turnToPair(contents, 'dress', 'everyday');
    await save(visitId, 'reason', turned.reason);
    await save(visitId, 'try-on', { ...turned['try-on'], ...tried(88) }, 1);
    await issue(visitId, { weeklyKm: 20 });
    const after = await asTenant(me, (tenant) => loadVisit(tenant, visitId));
    expect(after.closedAt).not.toBeNull();
    expect(after.issued.map(({ purpose }) => purpose)).toEqual(['dress', 'everyday']);
    const uses = after.issued.map(
      ({ specification }) => specification.targets.find(({ feature }) => feature === 'use')!.best,
    );
    expect(uses).toEqual(['dress', 'everyday']);
    for (const { id, sheet } of after.issued) expect(await readSheet(me, visitId, id)).toEqual(sheet);
    expect((await readSheet(me, visitId, null))?.shoe).toBe(after.issued[0]!.sheet!.shoe);
    const { pairs, visits } = await asTenant(me, (tenant) => readPatient(tenant, patientId));
    expect(visits.map(({ id }) => id)).toEqual([visitId]);
    expect(pairs.map(({ log }) => log[0]?.comfort).toSorted()).toEqual([70, 88]);
    // Each reads as it was issued, whichever is looked at.
    const rationale = async (pair: string) =>
      (await asTenant(me, (tenant) => readRationale(tenant, visitId, pair))).specification;
    expect((await rationale('dress')).targets).toEqual(after.issued[0]!.specification.targets);
    expect((await rationale('everyday')).targets).toEqual(after.issued[1]!.specification.targets);
  });

  it('an assistant may not answer warning signs', async () => {
    const { visitId } = await openVisit();
    expect(
      (await refusal(save(visitId, 'warnings', { checked: true }, 0, db.clinicA.assistant))).status,
    ).toBe(403);
  });

  it('is refused without a chosen pair', async () => {
    const { visitId } = await openVisit();
    await save(visitId, 'warnings', { checked: true });
    expect((await refusal(issue(visitId))).extra.errors?.[0]?.path).toEqual(['try-on']);
  });

  it('keeps the specification as issued, starts the pair, closes the visit; the stored picture replays to the same bytes', async () => {
    const { patientId, visitId } = await ready();
    await save(visitId, 'warnings', { checked: true });
    await issue(visitId, { surface: 'hard', weeklyKm: 20 });
    const stored = await asTenant(me, ({ tx }) =>
      tx.selectFrom('specification').selectAll().where('visit_id', '=', visitId).executeTakeFirstOrThrow(),
    );
    const replayed = resolve(clinicalPicture(stored.picture), {
      school: stored.choices.school!,
      setAside: stored.choices.setAside ?? [],
    });
    // PostgreSQL orders the keys of JSON its own way: both sides pass through it.
    const sorted = (value: unknown): unknown =>
      Array.isArray(value)
        ? value.map(sorted)
        : value && typeof value === 'object'
          ? Object.fromEntries(
              Object.entries(value)
                .sort(([a], [b]) => (a < b ? -1 : 1))
                .map(([key, part]) => [key, sorted(part)]),
            )
          : value;
    expect(JSON.stringify(sorted(JSON.parse(JSON.stringify(replayed))))).toBe(
      JSON.stringify(sorted(stored.result)),
    );
    const patient = await asTenant(me, (tenant) => readPatient(tenant, patientId));
    expect(patient.pairs).toHaveLength(1);
    expect(patient.pairs[0]).toMatchObject({
      startedOn: today(),
      endedOn: null,
      surface: 'hard',
      sizeLeft: 'EU 39 B',
    });
    expect(patient.pairs[0]!.log).toMatchObject([{ comfort: 71, note: 'at the fitting' }]);
    expect((await refusal(save(visitId, 'ask', { findings: {} }, 1))).status).toBe(409);
    expect((await refusal(issue(visitId))).status).toBe(409);
  });

  it('logs use, shows the window in Today, and retires the pair', async () => {
    const { patientId, visitId } = await ready();
    await save(visitId, 'warnings', { checked: true });
    const { pairId } = await issue(visitId, { surface: 'hard', weeklyUse: 5 });
    const log = (entry: object) =>
      asTenant(me, (tenant) => logPair(tenant, pairId, { on: today(), ...entry }));
    expect((await refusal(log({}))).extra.errors?.[0]?.path).toEqual(['distanceKm']);
    expect((await refusal(log({ on: '2001-01-01', distanceKm: 5 }))).extra.errors?.[0]?.path).toEqual(['on']);
    // An everyday pair counts the days on which it was worn.
    await log({ amount: 1500 });
    const kinds = (await asTenant(me, (tenant) => readRecall(tenant)))
      .filter((item) => item.patient.id === patientId)
      .map((item) => item.kind);
    expect(kinds).toContain('pair-overdue');
    await asTenant(me, (tenant) => endPair(tenant, pairId, { on: today(), because: 'worn-out' }));
    const after = (await asTenant(me, (tenant) => readRecall(tenant)))
      .filter((item) => item.patient.id === patientId)
      .map((item) => item.kind);
    expect(after).not.toContain('pair-overdue');
  });
});
