import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { afterAll, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { FIRST_OF_A_KIND } from '@/core/recall/kinds';
import { asTenant } from '@/server/database/tenant';
import { readRecall } from '@/server/services/recall/recall';
import { forgetRecallOf, recallOf } from '@/server/services/recall/remembered';
import { saveStep, startVisit } from '@/server/services/visits/visits';
import { freshDatabase, type TestDatabase } from './database';
import { handedOver } from './handed-over';

let db: TestDatabase;
/** Another copy of the application, as far as this one can tell. */
let elsewhere: pg.Client;
let somebody: Awaited<ReturnType<typeof handedOver>>;

const WANTED = { most: FIRST_OF_A_KIND };
const list = () => recallOf(db.clinicA.practitioner, WANTED);
/** Read twice it is the very same answer, not only an equal one. */
const isTheSameAgain = async () => {
  const before = await list();
  return (await list()) === before;
};
const remembered = () => expect.poll(isTheSameAgain, { timeout: 15_000 }).toBe(true);
/** What another copy does is heard of: what was remembered before it is remembered no longer. */
async function isHeard(text: string, values: unknown[]) {
  await remembered();
  const before = await list();
  const { rowCount } = await elsewhere.query(text, values);
  expect(rowCount).toBeGreaterThan(0);
  await expect.poll(async () => (await list()) === before).toBe(false);
}

beforeAll(async () => {
  db = await freshDatabase();
  elsewhere = new pg.Client({ connectionString: db.ownerUrl });
  await elsewhere.connect();
  somebody = await handedOver(db.clinicA.practitioner);
});
beforeEach(remembered);
afterAll(async () => {
  await elsewhere.end();
  await db.drop();
});

describe('the recall list is remembered', () => {
  it('as the database says it, and not a second time asked of it', async () => {
    await elsewhere.query('update pair set review_on = current_date where id = $1', [somebody.pairId]);
    await expect.poll(async () => (await list()).some(({ kind }) => kind === 'review-due')).toBe(true);
    await remembered();
    expect(await list()).toEqual(
      await asTenant(db.clinicA.practitioner, (tenant) => readRecall(tenant, WANTED)),
    );
  });

  it('until somebody here changes something, which holds for the very next request', async () => {
    const before = await list();
    forgetRecallOf(db.clinicA.practitioner.clinicId);
    expect(await list()).not.toBe(before);
  });

  it('whatever another clinic changes, and never shown to it', async () => {
    const mine = await list();
    const theirs = await recallOf(db.clinicB.practitioner, WANTED);
    expect(theirs.map(({ patient }) => patient.id)).not.toContain(somebody.patientId);
    forgetRecallOf(db.clinicB.practitioner.clinicId);
    expect(await list()).toBe(mine);
  });

  it.each([
    ['a patient', () => ['update patient set phone = $2 where id = $1', [somebody.patientId, '055 010199']]],
    ['a pair', () => ['update pair set window_to = current_date where id = $1', [somebody.pairId]]],
    ['a visit', () => ['update visit set closed_at = now() where id = $1', [somebody.visitId]]],
    [
      'a consent',
      () => [
        `insert into consent (clinic_id, patient_id, kind, how, given_on, recorded_by) select clinic_id, id, $2, 'spoken', current_date, '' from patient where id = $1`,
        [somebody.patientId, 'contact'],
      ],
    ],
    [
      'a try',
      () => [
        `insert into contact_try (clinic_id, patient_id, kind, about_on, way, made_by) select clinic_id, id, 'review-due', current_date, 'called', $2 from patient where id = $1`,
        [somebody.patientId, db.clinicA.practitioner.userId],
      ],
    ],
    [
      'a model',
      () => [
        'update shoe_model set name = name || $2 where id = (select model_id from pair where id = $1)',
        [somebody.pairId, ' II'],
      ],
    ],
    [
      'a colleague’s name',
      () => [
        'update auth."user" set name = $2 where id = $1',
        [db.clinicA.practitioner.userId, 'Another Name'],
      ],
    ],
  ] satisfies [string, () => [string, unknown[]]][])('until another copy changes %s', (_, change) =>
    isHeard(...change()),
  );

  it('and is told of by every table that it is read from', async () => {
    const { rows } = await elsewhere.query<{ read: string; told: boolean }>(`
      with body as (select string_agg(pg_get_functiondef(name::regprocedure), ' ') as text
        from unnest(array['recall_due(date, uuid, text[], integer)', 'recall_list(date, uuid, text[], integer)']) as name),
      named as (select distinct found[1] as read from body, regexp_matches(text, '(?:from|join)\\s+((?:auth\\.)?"?[a-z_]+"?)', 'g') as found)
      select read, exists (select from pg_trigger where tgrelid = to_regclass(read) and tgname like 'recall_%') as told
      from named where to_regclass(read) is not null`);
    expect(rows.map(({ read }) => read)).toEqual(
      expect.arrayContaining(['pair', 'patient', 'auth."user"', 'visit_step']),
    );
    expect(rows.filter(({ told }) => !told)).toEqual([]);
  });

  it('while a step of a visit is only saved, not while it is finished', async () => {
    const told: (string | undefined)[] = [];
    elsewhere.on('notification', ({ payload }) => told.push(payload));
    await elsewhere.query('listen recall');
    const me = db.clinicA.practitioner;
    const { id: visit } = await asTenant(me, (tenant) => startVisit(tenant, somebody.patientId));
    const save = (revision: number, state: 'in-progress' | 'done') =>
      asTenant(me, (tenant) =>
        saveStep(tenant, visit, 'ask', { revision, state, content: { findings: {} } }),
      );
    const toldBy = async (work: () => Promise<unknown>) => {
      told.length = 0;
      await work();
      const last = randomUUID();
      await elsewhere.query(`select pg_notify('recall', $1)`, [last]);
      await expect.poll(() => told).toContain(last);
      return told.includes(me.clinicId);
    };
    expect(await toldBy(() => save(0, 'in-progress'))).toBe(true);
    expect(await toldBy(() => save(1, 'in-progress'))).toBe(false);
    expect(await toldBy(() => save(2, 'done'))).toBe(true);
  });

  it('for the day only: at midnight other things are due', async () => {
    const before = await list();
    vi.useFakeTimers({ toFake: ['Date'], now: Date.now() + 86_400_000 });
    try {
      expect(await list()).not.toBe(before);
    } finally {
      vi.useRealTimers();
    }
  });
});
