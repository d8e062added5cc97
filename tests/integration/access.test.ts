import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { api } from '@/contract/contract';
import { isWithin, signedIn } from '@/server/auth/actor';
import { changePassword } from '@/server/auth/change-password';
import { join, whoJoins } from '@/server/auth/join';
import { changeSeat, seatsOf } from '@/server/auth/seats';
import { authDatabase } from '@/server/database/connection';
import { type Actor, asTenant } from '@/server/database/tenant';
import { tooManyFrom } from '@/server/http/tries';
import { tidy } from '@/server/jobs/jobs';
import { addPatient } from '@/server/services/patients/patients';
import { changeClinic } from '@/server/services/people/clinic';
import {
  actOnPerson,
  changePerson,
  invite,
  listPeople,
  readOutbox,
} from '@/server/services/people/colleagues';
import { endSession, listSessions } from '@/server/services/people/sessions';
import { addSite, changeSite, chooseSite, listSites, placeOfWork } from '@/server/services/people/sites';
import { addToken } from '@/server/services/people/tokens';
import { readRecall } from '@/server/services/recall/recall';
import { startVisit } from '@/server/services/visits/visits';
import { freshDatabase, PASSWORD, type TestDatabase } from './database';
import { cookieOf, refusal } from './signing-in';

let db: TestDatabase;
beforeAll(async () => {
  db = await freshDatabase();
});
afterAll(() => db.drop());

/** The link of the latest letter to an address, from one clinic. */
async function linkTo(lead: Actor, email: string): Promise<string> {
  const letter = (await asTenant(lead, readOutbox)).find(({ recipient }) => recipient === email)!;
  return /token=([\w-]+)/.exec(letter.body)![1]!;
}
const inviteTo = (lead: Actor, email: string, role: 'assistant' | 'lead' = 'assistant') =>
  asTenant(lead, (tenant) => invite(tenant, { name: 'Ida Both', email, role }));
const cookieSession = async (headers: Headers) => {
  const who = await signedIn(headers);
  if (who?.by !== 'cookie') throw new Error('not signed in by cookie');
  return who;
};

describe('one person in two clinics', () => {
  const email = 'practitioner@a.example';
  let cookie: Headers;
  let there: string;

  beforeAll(async () => {
    await inviteTo(db.clinicB.lead, email);
    cookie = await cookieOf(email);
  });

  it('joins with the password that they have; a wrong one is said at its field, and ten end the link', async () => {
    const token = await linkTo(db.clinicB.lead, email);
    expect(await whoJoins(token)).toMatchObject({ account: db.clinicA.practitioner.userId });
    const wrong = await refusal(join({ token, password: 'a wrong one, and long' }));
    expect(wrong.extra.errors?.[0]?.path).toEqual(['password']);
    for (let tries = 0; tries < 9; tries += 1)
      await refusal(join({ token, password: 'a wrong one, and long' }));
    expect((await refusal(join({ token, password: PASSWORD }))).status).toBe(404);
    const [person] = (await asTenant(db.clinicB.lead, listPeople)).filter((entry) => entry.email === email);
    await asTenant(db.clinicB.lead, (tenant) => actOnPerson(tenant, person!.id, 'reset-password'));
    await join({ token: await linkTo(db.clinicB.lead, email), password: PASSWORD });
    there = person!.id;
    expect((await asTenant(db.clinicB.lead, listPeople)).find(({ id }) => id === there)).toMatchObject({
      state: 'active',
      elsewhere: true,
    });
  });

  it('switches in one browser, with the role of each place, and the other browser stays where it was', async () => {
    const other = await cookieOf(email);
    const { sessionId, accountId, actor, seats } = await cookieSession(cookie);
    expect([actor.clinicId, seats]).toEqual([db.clinicA.id, 2]);
    expect((await seatsOf(accountId)).map(({ clinic }) => clinic)).toEqual(['Clinic a', 'Clinic b']);
    expect(await changeSeat(sessionId, accountId, there)).toBe(true);
    await expect
      .poll(async () => (await cookieSession(cookie)).actor)
      .toMatchObject({
        clinicId: db.clinicB.id,
        role: 'assistant',
        name: 'Ida Both',
      });
    expect((await cookieSession(other)).actor.clinicId).toBe(db.clinicA.id);
  });

  it('nobody takes the seat of somebody else', async () => {
    const { sessionId, accountId } = await cookieSession(cookie);
    expect(await changeSeat(sessionId, accountId, db.clinicB.lead.userId)).toBe(false);
    expect(await changeSeat(sessionId, db.clinicB.lead.userId, db.clinicB.lead.userId)).toBe(false);
  });

  it('each lead sees and ends only what sits in their clinic', async () => {
    const before = (lead: Actor, id: string) =>
      asTenant(lead, listPeople).then((all) => all.find((entry) => entry.id === id)!.sessions);
    expect(await before(db.clinicB.lead, there)).toBe(1);
    await asTenant(db.clinicA.lead, (tenant) =>
      actOnPerson(tenant, db.clinicA.practitioner.userId, 'sign-out-everywhere'),
    );
    await expect.poll(async () => (await cookieSession(cookie)).actor.clinicId).toBe(db.clinicB.id);
    await asTenant(db.clinicB.lead, (tenant) => actOnPerson(tenant, there, 'sign-out-everywhere'));
    await expect.poll(() => signedIn(cookie)).toBeNull();
  });

  it('suspended in one clinic they go on in the other, and are back where they were when taken back', async () => {
    const { userId } = db.clinicA.practitioner;
    await asTenant(db.clinicA.lead, (tenant) => changePerson(tenant, userId, { state: 'suspended' }));
    const again = await cookieOf(email);
    expect((await cookieSession(again)).actor.clinicId).toBe(db.clinicB.id);
    await asTenant(db.clinicA.lead, (tenant) => changePerson(tenant, userId, { state: 'active' }));
    await expect.poll(async () => (await cookieSession(again)).actor.clinicId).toBe(db.clinicA.id);
  });

  it('the second clinic sends no new password; one that the first sends opens the first alone', async () => {
    expect(
      (await refusal(asTenant(db.clinicB.lead, (tenant) => actOnPerson(tenant, there, 'reset-password'))))
        .status,
    ).toBe(409);
    await asTenant(db.clinicA.lead, (tenant) =>
      actOnPerson(tenant, db.clinicA.practitioner.userId, 'reset-password'),
    );
    // A lead who reads the letter in the outbox gets no further than their own clinic.
    await join({ token: await linkTo(db.clinicA.lead, email), password: 'chosen by a curious lead' });
    const curious = await cookieSession(await cookieOf(email, 'chosen by a curious lead'));
    expect(curious.seats).toBe(1);
    expect(await changeSeat(curious.sessionId, curious.accountId, there)).toBe(false);
    expect((await asTenant(db.clinicB.lead, listPeople)).find(({ id }) => id === there)).toMatchObject({
      state: 'invited',
    });
  });
});

describe('tokens that may do less', () => {
  it('carry their scope to the request', async () => {
    const { token } = await asTenant(db.clinicA.lead, (tenant) =>
      addToken(tenant, { name: 'catalogue', days: 9, access: 'read', areas: ['shoes'] }),
    );
    const who = await signedIn(new Headers({ authorization: `Bearer ${token}` }));
    expect(who).toMatchObject({ by: 'token', scope: { access: 'read', areas: ['shoes'] } });
  });

  it('reading changes nothing, an area ends at its edge, and a page needs every area', () => {
    const shoes = { access: 'read', areas: ['shoes'] } as const;
    expect(isWithin(shoes, false, 'shoes')).toBe(true);
    expect(isWithin(shoes, true, 'shoes')).toBe(false);
    expect(isWithin(shoes, false, 'records')).toBe(false);
    expect(isWithin(shoes, false, null)).toBe(false);
    expect(isWithin({ access: 'read', areas: null }, false, null)).toBe(true);
    expect(isWithin({ access: 'write', areas: ['shoes'] }, true, 'shoes')).toBe(true);
  });
});

describe('a second factor that a clinic asks for', () => {
  it('stands between its people and everything else, at that clinic alone', async () => {
    const cookie = await cookieOf('assistant@a.example');
    await expect.poll(async () => (await signedIn(cookie))?.lacksSecondFactor).toBe(false);
    await asTenant(db.clinicA.lead, (tenant) => changeClinic(tenant, { secondFactorRequired: true }));
    await expect.poll(async () => (await signedIn(cookie))?.lacksSecondFactor).toBe(true);
    expect((await signedIn(await cookieOf('assistant@b.example')))?.lacksSecondFactor).toBe(false);
    await authDatabase().query(`update auth."user" set "twoFactorEnabled" = true where id = $1`, [
      db.clinicA.assistant.userId,
    ]);
    await expect.poll(async () => (await signedIn(cookie))?.lacksSecondFactor).toBe(false);
    await asTenant(db.clinicA.lead, (tenant) => changeClinic(tenant, { secondFactorRequired: false }));
  });
});

describe('where one is signed in', () => {
  it('lists one’s own browsers, and ends one of them and none of anybody else', async () => {
    const [here, there] = [await cookieOf('assistant@b.example'), await cookieOf('assistant@b.example')];
    const { sessionId } = await cookieSession(here);
    const { sessionId: other } = await cookieSession(there);
    const me = db.clinicB.assistant;
    const list = await asTenant(me, (tenant) => listSessions(tenant, sessionId));
    expect(list.filter((entry) => entry.here).map(({ id }) => id)).toEqual([sessionId]);
    await asTenant(me, (tenant) => endSession(tenant, other));
    await expect.poll(() => signedIn(there)).toBeNull();
    expect(await signedIn(here)).not.toBeNull();
    expect((await refusal(asTenant(db.clinicB.lead, (tenant) => endSession(tenant, sessionId)))).status).toBe(
      404,
    );
    expect((await refusal(asTenant(db.clinicA.lead, (tenant) => endSession(tenant, sessionId)))).status).toBe(
      404,
    );
  });
});

describe('one’s own password', () => {
  const change = (cookie: Headers, current: string, password: string) =>
    changePassword({ current, password }, cookie);

  it('is changed by who knows it; every other browser is out, this one goes on', async () => {
    const email = 'lead@b.example';
    const [here, there] = [await cookieOf(email), await cookieOf(email)];
    const wrong = await refusal(change(here, 'not the one that holds', 'herring gulls at noon'));
    expect(wrong.extra.errors?.[0]?.path).toEqual(['current']);
    const weak = await refusal(change(here, PASSWORD, 'lead@b.example'));
    expect(weak.extra.errors?.[0]?.path).toEqual(['password']);
    await change(here, PASSWORD, 'herring gulls at noon');
    await expect.poll(() => signedIn(there)).toBeNull();
    expect(await signedIn(here)).not.toBeNull();
    await expect(cookieOf(email)).rejects.toThrow();
    expect(await signedIn(await cookieOf(email, 'herring gulls at noon'))).not.toBeNull();
  });

  it('is not changed by a token, nor by nobody', async () => {
    const { token } = await asTenant(db.clinicB.lead, (tenant) =>
      addToken(tenant, { name: 'machine', days: 1, access: 'write' }),
    );
    for (const headers of [new Headers(), new Headers({ authorization: `Bearer ${token}` })])
      expect((await refusal(change(headers, 'herring gulls at noon', 'another one of these'))).status).toBe(
        401,
      );
  });
});

describe('tries by whoever has no account yet', () => {
  it('are counted for an address over every copy, and begin anew after a minute', async () => {
    const tries = await Promise.all(Array.from({ length: 25 }, () => tooManyFrom('203.0.113.9')));
    expect(tries.filter((tooMany) => tooMany)).toHaveLength(5);
    expect(await tooManyFrom('203.0.113.10')).toBe(false);
    await authDatabase().query(`update auth.sign_in_guard set blocked_until = now() - interval '1 second'`);
    expect(await tooManyFrom('203.0.113.9')).toBe(false);
  });

  it('and what means nothing any more is forgotten by itself', async () => {
    await authDatabase().query(`update auth.sign_in_guard set last_at = now() - interval '2 days'`);
    await cookieOf('assistant@b.example');
    await authDatabase().query(`update auth.session set "expiresAt" = now() - interval '2 days'
      where "userId" = '${db.clinicB.assistant.userId}'`);
    await tidy();
    const left = (table: string) =>
      authDatabase()
        .query<{ n: number }>(`select count(*)::int as n from ${table}`)
        .then(({ rows }) => rows[0]!.n);
    expect(await left('auth.sign_in_guard')).toBe(0);
    expect(await left(`auth.session where "userId" = '${db.clinicB.assistant.userId}'`)).toBe(0);
  });
});

describe('sites of one clinic', () => {
  it('a visit, its sheet and Today follow from where somebody works', async () => {
    const { lead, practitioner } = db.clinicA;
    const harbour = await asTenant(lead, (tenant) => addSite(tenant, { name: 'Harbour', place: 'Quay 3' }));
    const hill = await asTenant(lead, (tenant) => addSite(tenant, { name: 'Hill', place: 'Upper Lane' }));
    await asTenant(practitioner, (tenant) => chooseSite(tenant, harbour.id));
    await authDatabase().query(`update auth."user" set standing = 'active' where id = $1`, [
      practitioner.userId,
    ]);
    const cookie = await cookieOf('practitioner@a.example', 'chosen by a curious lead');
    const { actor } = await cookieSession(cookie);
    expect(actor.siteId).toBe(harbour.id);
    await asTenant(actor, async (tenant) => {
      const { id } = await addPatient(tenant, {
        givenName: 'Odd',
        familyName: 'Quayside',
        bornOn: '1990-01-01',
        sizingGroup: 'men',
      });
      await startVisit(tenant, id);
      const names = async (site: string | null) =>
        (await readRecall(tenant, { site: site })).map(({ patient }) => patient.name);
      expect(await names(harbour.id)).toContain('Odd Quayside');
      expect(await names(hill.id)).not.toContain('Odd Quayside');
      expect(await names(null)).toContain('Odd Quayside');
      expect(await placeOfWork(tenant, { name: 'Clinic a', place: 'Testholm' })).toBe(
        'Clinic a, Harbour, Quay 3',
      );
    });
    await asTenant(lead, (tenant) => changeSite(tenant, harbour.id, { closed: true }));
    await expect.poll(async () => (await cookieSession(cookie)).actor.siteId).toBeNull();
    expect((await refusal(asTenant(practitioner, (tenant) => chooseSite(tenant, harbour.id)))).status).toBe(
      404,
    );
  });

  it('what is no identifier is refused before it reaches the database', () => {
    for (const site of ['', '1', 'x'.repeat(40)])
      expect(api.chooseSite.body.safeParse({ site }).success).toBe(false);
    expect(api.chooseSite.body.safeParse({ site: null }).success).toBe(true);
  });

  it('two sites of one name are refused at the field; another clinic sees none', async () => {
    const again = await refusal(
      asTenant(db.clinicA.lead, (tenant) => addSite(tenant, { name: 'Hill', place: 'Elsewhere' })),
    );
    expect(again.extra.errors?.[0]?.path).toEqual(['name']);
    expect(await asTenant(db.clinicB.lead, listSites)).toEqual([]);
    const [site] = await asTenant(db.clinicA.lead, listSites);
    expect((await refusal(asTenant(db.clinicB.lead, (tenant) => chooseSite(tenant, site!.id)))).status).toBe(
      404,
    );
  });
});
