import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { addDays } from '@/core/calendar/days';
import { type Actor, asTenant } from '@/server/database/tenant';
import type { Refusal } from '@/server/http/problem';
import { today } from '@/server/services/clock';
import { endPair, logPair } from '@/server/services/pairs/pair-log';
import { listPairs } from '@/server/services/pairs/pair-records';
import {
  addPatient,
  changePatient,
  countPatients,
  findPatients,
  patientAudit,
  readPatient,
} from '@/server/services/patients/patients';
import { changeClinic, readClinic } from '@/server/services/people/clinic';
import { readRecall } from '@/server/services/recall/recall';
import { closeVisit, startVisit } from '@/server/services/visits/visits';
import { freshDatabase, type TestDatabase } from './database';
import { wornModel, wornPair } from './worn-pair';

let db: TestDatabase;
let me: Actor;

beforeAll(async () => {
  db = await freshDatabase();
  me = db.clinicA.practitioner;
});
afterAll(() => db.drop());

const person = (part: object = {}) => ({
  givenName: 'Vera',
  familyName: 'Test',
  bornOn: '1970-05-06',
  sizingGroup: 'women' as const,
  ...part,
});
const add = (part: object = {}, who = me) => asTenant(who, (tenant) => addPatient(tenant, person(part)));
const refusal = (work: Promise<unknown>): Promise<Refusal> =>
  work.then(
    () => {
      throw new Error('was not refused');
    },
    (error) => error,
  );
const pathOf = async (work: Promise<unknown>) => (await refusal(work)).extra.errors?.[0]?.path;

describe('finding patients', () => {
  const found = async (words: string) =>
    (await asTenant(me, (tenant) => findPatients(tenant, words))).map(
      ({ givenName, familyName }) => `${givenName} ${familyName}`,
    );

  it('every word must stand in a name, in any order, capitals or not; the family name gives the order', async () => {
    await add({ givenName: 'Ilse', familyName: 'Zander' });
    await add({ givenName: 'Ilse', familyName: 'Abt' });
    await add({ givenName: 'Zacharias', familyName: 'Ilsemann' });
    expect(await found('ILSE')).toEqual(['Ilse Abt', 'Zacharias Ilsemann', 'Ilse Zander']);
    expect(await found('  zander   ilse ')).toEqual(['Ilse Zander']);
    expect(await found('ilse nobody')).toEqual([]);
  });

  it('a birth date in any writing, a year, or digits of the telephone lead to the person', async () => {
    await add({ givenName: 'Born', familyName: 'Dated', bornOn: '1931-10-09', phone: '+47 (555) 01-777' });
    for (const typed of ['9.10.1931', '1931-10-09', '09/10/1931', '10/09/1931', 'dated 1931', '55501777'])
      expect(await found(typed), typed).toEqual(['Born Dated']);
    expect(await found('born 1932')).toEqual([]);
  });

  it('page by page nobody is left out or read twice, whoever has the same name', async () => {
    for (let at = 0; at < 7; at += 1) await add({ givenName: 'Same', familyName: 'Paged' });
    const pages: string[][] = [];
    let after: string | undefined;
    do {
      const page = await asTenant(me, (tenant) => findPatients(tenant, 'paged', false, { after, most: 3 }));
      pages.push(page.map(({ id }) => id));
      after = page.length === 3 ? page.at(-1)!.id : undefined;
    } while (after);
    expect(pages.map((page) => page.length)).toEqual([3, 3, 1]);
    expect(new Set(pages.flat()).size).toBe(7);
    expect(await asTenant(me, (tenant) => countPatients(tenant, 'paged', false))).toBe(7);
  });

  it('signs that a search language knows are letters here', async () => {
    await add({ givenName: 'Ann_e', familyName: '50%er' });
    await add({ givenName: 'Annae', familyName: '500er' });
    expect(await found('Ann_e')).toEqual(['Ann_e 50%er']);
    expect(await found('50%')).toEqual(['Ann_e 50%er']);
    expect(await found('\\')).toEqual([]);
    expect(await found("'; drop table patient; --")).toEqual([]);
  });

  it('no words: everybody of this clinic, nobody of another', async () => {
    await add({ givenName: 'Elsewhere', familyName: 'Only' }, db.clinicB.practitioner);
    const all = await found('');
    expect(all).toContain('Ilse Abt');
    expect(all).not.toContain('Elsewhere Only');
  });
});

describe('changing a patient', () => {
  it('changes what is named and nothing else; a school can be taken back', async () => {
    const { id } = await add({ occupation: 'bell-ringer', heightMm: 1700 });
    await asTenant(me, (tenant) => changePatient(tenant, id, { school: 'comfort' }));
    await asTenant(me, (tenant) => changePatient(tenant, id, { familyName: 'Newname' }));
    expect(await asTenant(me, (tenant) => readPatient(tenant, id))).toMatchObject({
      familyName: 'Newname',
      givenName: 'Vera',
      occupation: 'bell-ringer',
      heightMm: 1700,
      school: 'comfort',
    });
    await asTenant(me, (tenant) => changePatient(tenant, id, { school: null }));
    expect((await asTenant(me, (tenant) => readPatient(tenant, id))).school).toBeNull();
  });

  it('a change without anything in it is no failure', async () => {
    const { id } = await add();
    await expect(asTenant(me, (tenant) => changePatient(tenant, id, {}))).resolves.toMatchObject({ id });
  });

  it('somebody else’s patient is not found, and not changed', async () => {
    const { id } = await add();
    const other = db.clinicB.lead;
    const refused = await refusal(asTenant(other, (tenant) => changePatient(tenant, id, { givenName: 'X' })));
    expect(refused.status).toBe(404);
    expect((await asTenant(me, (tenant) => readPatient(tenant, id))).givenName).toBe('Vera');
  });

  it('who read and who changed is kept, newest first', async () => {
    const { id } = await add();
    await asTenant(db.clinicA.assistant, (tenant) => readPatient(tenant, id));
    await asTenant(me, (tenant) => changePatient(tenant, id, { occupation: 'cook' }));
    const entries = await asTenant(me, (tenant) => patientAudit(tenant, id));
    expect(entries.map(({ who, action, what }) => [who, action, what])).toEqual([
      ['practitioner a', 'write', 'patient changed'],
      ['assistant a', 'read', 'patient'],
      ['practitioner a', 'write', 'patient added'],
    ]);
  });

  it('age follows the birthday, also one of 29 February', async () => {
    const { id } = await add({ bornOn: '2000-02-29' });
    const { age } = await asTenant(me, (tenant) => readPatient(tenant, id));
    const passed = today().slice(5) >= '02-29';
    expect(age).toBe(Number(today().slice(0, 4)) - 2000 - (passed ? 0 : 1));
  });
});

describe('a pair in use', () => {
  /** A pair that a patient has worn since a day. */
  async function pair(startedOn: string, part: object = {}) {
    const { id: patientId } = await add();
    const modelId = await wornModel(me, { name: `Pair ${patientId}` });
    const pairId = await wornPair(me, patientId, modelId, startedOn, part);
    const log = (entry: object) =>
      asTenant(me, (tenant) => logPair(tenant, pairId, { on: today(), ...entry }));
    const end = (on: string) =>
      asTenant(me, (tenant) => endPair(tenant, pairId, { on, because: 'worn-out' }));
    const read = async () => (await asTenant(me, (tenant) => listPairs(tenant, { pairId })))[0]!;
    return { patientId, pairId, log, end, read };
  }
  const ago = (days: number) => addDays(today(), -days);

  it('an entry lies between the first day and tomorrow, and says something', async () => {
    const { log } = await pair(ago(10));
    expect(await pathOf(log({ on: ago(11), distanceKm: 3 }))).toEqual(['on']);
    expect(await pathOf(log({ on: addDays(today(), 2), distanceKm: 3 }))).toEqual(['on']);
    expect(await pathOf(log({ note: '   ' }))).toEqual(['distanceKm']);
    await expect(log({ on: ago(10), distanceKm: 0 })).resolves.toHaveProperty('id');
    await expect(log({ note: 'squeaks' })).resolves.toHaveProperty('id');
  });

  it('a retired pair takes what was worn before, and nothing after', async () => {
    const { log, end, read } = await pair(ago(100));
    await end(ago(30));
    expect(await pathOf(log({ distanceKm: 5 }))).toEqual(['on']);
    await log({ on: ago(40), distanceKm: 120 });
    expect(await read()).toMatchObject({ endedOn: ago(30), forecast: { used: 120 } });
  });

  it('retiring needs a day that has come, not one before the first', async () => {
    const { end, read } = await pair(ago(10));
    expect(await pathOf(end(ago(11)))).toEqual(['on']);
    expect(await pathOf(end(addDays(today(), 2)))).toEqual(['on']);
    expect((await read()).endedOn).toBeNull();
    await end(today());
    expect((await read()).endedOn).toBe(today());
  });

  it('a pair of another clinic is not found', async () => {
    const { pairId } = await pair(ago(10));
    const other = db.clinicB.practitioner;
    const refused = await refusal(
      asTenant(other, (tenant) => logPair(tenant, pairId, { on: today(), distanceKm: 5 })),
    );
    expect(refused.status).toBe(404);
    expect(
      (
        await refusal(
          asTenant(other, (tenant) => endPair(tenant, pairId, { on: today(), because: 'worn-out' })),
        )
      ).status,
    ).toBe(404);
  });

  it('comfort is read from two ratings on, first against last, whatever lies between', async () => {
    const { log, read } = await pair(ago(50));
    await log({ on: ago(40), comfort: 80 });
    expect((await read()).comfort).toBeNull();
    await log({ on: ago(30), comfort: 10 });
    await log({ on: ago(20), distanceKm: 4 });
    await log({ on: ago(10), comfort: 55 });
    expect((await read()).comfort).toMatchObject({ baseline: 80, now: 55 });
  });

  it('the window counts from the first day, in order, and a newer version is named', async () => {
    const { read } = await pair(ago(10));
    const { window: told, startedOn } = await read();
    const window = told!;
    expect(startedOn < window.from && window.from <= window.middle && window.middle <= window.to).toBe(true);
    expect(window.startNextOn <= window.from).toBe(true);
  });
});

describe('today', () => {
  const mine = async (patientId: string) =>
    (await asTenant(me, (tenant) => readRecall(tenant)))
      .filter(({ patient }) => patient.id === patientId)
      .map(({ kind }) => kind);

  it('an open visit stands first and goes when it is closed', async () => {
    const { id } = await add();
    const visit = await asTenant(me, (tenant) => startVisit(tenant, id));
    expect(await mine(id)).toEqual(['visit-open']);
    await asTenant(me, (tenant) => closeVisit(tenant, visit.id, 'review only'));
    expect(await mine(id)).toEqual([]);
  });

  it('a visit is closed once, and with a reason', async () => {
    const { id } = await add();
    const visit = await asTenant(me, (tenant) => startVisit(tenant, id));
    await asTenant(me, (tenant) => closeVisit(tenant, visit.id, 'review only'));
    expect((await refusal(asTenant(me, (tenant) => closeVisit(tenant, visit.id, 'again')))).status).toBe(409);
  });
});

describe('the clinic’s defaults', () => {
  it('one changed leaves the other, and an empty change leaves both', async () => {
    const lead = db.clinicA.lead;
    await asTenant(lead, (tenant) => changeClinic(tenant, { school: 'load' }));
    await asTenant(lead, (tenant) => changeClinic(tenant, { lifeSchool: 'cautious' }));
    await asTenant(lead, (tenant) => changeClinic(tenant, {}));
    expect(await asTenant(me, readClinic)).toMatchObject({ school: 'load', lifeSchool: 'cautious' });
    expect(await asTenant(db.clinicB.lead, readClinic)).toMatchObject({ school: 'balanced' });
  });
});
