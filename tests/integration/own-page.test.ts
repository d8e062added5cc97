import { randomUUID } from 'node:crypto';
import { unzipSync } from 'fflate';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { addDays } from '@/core/calendar/days';
import type { HomeContent } from '@/core/home/report';
import { HOME_TRIES, homeCaller, homeDigest, homeToken } from '@/server/auth/home-link';
import { type Actor, asTenant } from '@/server/database/tenant';
import { today } from '@/server/services/clock';
import { makeHomeLink, revokeHomeLink } from '@/server/services/home/links';
import { openHome } from '@/server/services/home/open';
import { readHomePage } from '@/server/services/home/page';
import { removePhone } from '@/server/services/home/phones';
import { homePictureFile, readHomeRecord, receiveReport, seeReport } from '@/server/services/home/reports';
import { endPair } from '@/server/services/pairs/pair-log';
import { readPair } from '@/server/services/pairs/pair-records';
import { mergePatients } from '@/server/services/patients/duplicates';
import { erasePatient, exportPatient } from '@/server/services/patients/one-person';
import { changePatient } from '@/server/services/patients/patients';
import { readRecall } from '@/server/services/recall/recall';
import { asOwner, freshDatabase, type TestDatabase } from './database';
import { handedOver } from './handed-over';
import { refusal } from './signing-in';
import { somebodyCalled } from './worn-pair';

const BORN = '1980-01-01';
let db: TestDatabase;
let me: Actor;
beforeAll(async () => {
  db = await freshDatabase();
  me = db.clinicA.practitioner;
});
afterAll(() => db.drop());

/** A link to somebody's page, and its secret. */
async function linkFor(patientId: string): Promise<{ id: string; token: string }> {
  await asTenant(me, (tenant) => makeHomeLink(tenant, patientId, 180));
  const { links } = await asTenant(me, (tenant) => readHomeRecord(tenant, patientId));
  const url = new URL(links[0]!.url!);
  expect(url.pathname).toBe('/home');
  return { id: links[0]!.id, token: url.hash.slice(1) };
}
const open = (token: string, bornOn = BORN) => openHome({ token, bornOn, agreed: 1 });
/** A phone on which a link was opened. */
async function phoneOf(patientId: string) {
  const { id, token } = await linkFor(patientId);
  const opened = await open(token);
  if ('left' in opened) throw new Error('was not opened');
  const caller = (await homeCaller(id, opened.secret))!;
  const say = (content: HomeContent, pair: string | null, over: { id?: string; on?: string } = {}) => {
    const on = over.on ?? today();
    return asTenant(caller.actor, (tenant) =>
      receiveReport(tenant, caller, { id: over.id ?? randomUUID(), pair, on, at: `${on}T18:30`, content }),
    );
  };
  return { id, token, secret: opened.secret, caller, say };
}
const pageOf = ({ caller }: Awaited<ReturnType<typeof phoneOf>>) =>
  asTenant(caller.actor, (tenant) => readHomePage(tenant, caller));
const kinds = async (patientId: string) =>
  (await asTenant(me, (tenant) => readRecall(tenant)))
    .filter(({ patient }) => patient.id === patientId)
    .map(({ kind }) => kind);
const recordOf = (patientId: string) => asTenant(me, (tenant) => readHomeRecord(tenant, patientId));

describe('a link to the patient’s own page', () => {
  it('carries 132 bits that are in no row of the database, and shows pair, lacing, plan and dates', async () => {
    const { patientId, pairId } = await handedOver(me);
    const phone = await phoneOf(patientId);
    expect(phone.token).toMatch(/^[\w-]{22}$/);
    const rows = await asOwner(db, (client) => client.query('select * from home_link'));
    expect(JSON.stringify(rows.rows)).not.toContain(phone.token);
    const { view } = await pageOf(phone);
    expect(view).toMatchObject({ language: 'en', limb: null, swells: false });
    expect(view.pairs).toHaveLength(1);
    const [pair] = view.pairs;
    expect(pair).toMatchObject({ id: pairId, use: 'km' });
    expect(pair!.breakIn!.days[0]!.on).toBe(today());
    expect(pair!.lacing.shoes[0]!.steps.length).toBeGreaterThan(2);
    expect(pair!.stop.lines.length).toBeGreaterThan(2);
    expect(Object.values(view.words).join(' ')).not.toMatch(/undefined|home\./);
  });

  it('takes five wrong dates of birth, at once or one by one, and then opens nothing', async () => {
    const { patientId } = await handedOver(me);
    const { token } = await linkFor(patientId);
    expect(await open(token, '1980-01-02')).toEqual({ left: HOME_TRIES - 1 });
    const tries = await Promise.allSettled(
      Array.from({ length: 12 }, (_, at) => open(token, `1981-01-${10 + at}`)),
    );
    expect(tries.filter(({ status }) => status === 'fulfilled')).toHaveLength(HOME_TRIES - 1);
    expect((await refusal(open(token))).status).toBe(404);
    expect((await recordOf(patientId)).links[0]).toMatchObject({ state: 'locked', url: null });
  });

  it('a right date of birth begins the count anew', async () => {
    const { patientId } = await handedOver(me);
    const { token } = await linkFor(patientId);
    for (let round = 0; round < 2; round += 1) {
      for (let wrong = 1; wrong < HOME_TRIES; wrong += 1)
        expect(await open(token, '1999-09-09')).toEqual({ left: HOME_TRIES - wrong });
      expect(await open(token)).toHaveProperty('link');
    }
  });

  it('guessed, closed and run out are answered alike', async () => {
    const { patientId } = await handedOver(me);
    const { id, token } = await linkFor(patientId);
    const guessed = await refusal(open(homeToken(randomUUID())));
    await asTenant(me, (tenant) => revokeHomeLink(tenant, id));
    const closed = await refusal(open(token));
    const other = await linkFor(patientId);
    await asOwner(db, (client) =>
      client.query(`update home_link set expires_at = now() - interval '1 minute' where id = $1`, [other.id]),
    );
    const old = await refusal(open(other.token));
    for (const answer of [closed, old])
      expect([answer.status, answer.message]).toEqual([guessed.status, guessed.message]);
  });

  it('once closed, lets no phone in that had opened it; a phone from which it was removed neither', async () => {
    const { patientId } = await handedOver(me);
    const first = await phoneOf(patientId);
    await asTenant(first.caller.actor, (tenant) => removePhone(tenant, first.secret));
    expect(await homeCaller(first.id, first.secret)).toBeNull();
    const second = await phoneOf(patientId);
    await asTenant(me, (tenant) => revokeHomeLink(tenant, second.id));
    expect(await homeCaller(second.id, second.secret)).toBeNull();
  });

  it('opens one person only: a phone’s secret with another’s link, or another’s pair, leads nowhere', async () => {
    const mine = await handedOver(me);
    const other = await handedOver(me);
    const phone = await phoneOf(mine.patientId);
    const { id: otherLink } = await linkFor(other.patientId);
    expect(await homeCaller(otherLink, phone.secret)).toBeNull();
    await phone.say({ kind: 'use', amount: 7 }, other.pairId);
    expect((await asTenant(me, (tenant) => readPair(tenant, other.pairId))).pair.log).toHaveLength(1);
    const elsewhere = asTenant(db.clinicB.practitioner, (tenant) => makeHomeLink(tenant, mine.patientId, 90));
    expect((await refusal(elsewhere)).status).toBe(404);
    const closing = asTenant(db.clinicB.practitioner, (tenant) => revokeHomeLink(tenant, phone.id));
    expect((await refusal(closing)).status).toBe(404);
  });

  it('of a record that was folded into another leads to that one, and is closed from there', async () => {
    const folded = await handedOver(me);
    const kept = await handedOver(me);
    const phone = await phoneOf(folded.patientId);
    await phone.say({ kind: 'socks', ply: 2 }, null);
    // A visit is open on neither: both were handed over.
    await asTenant(me, (tenant) => mergePatients(tenant, kept.patientId, folded.patientId));
    const { view } = await pageOf(phone);
    expect(view.pairs).toHaveLength(2);
    await phone.say({ kind: 'socks', ply: 3 }, null);
    const record = await recordOf(kept.patientId);
    expect(record.reports.map(({ words }) => words).toSorted()).toEqual(['socks: 2 ply', 'socks: 3 ply']);
    expect(record.links.map(({ id }) => id)).toContain(phone.id);
    await asTenant(me, (tenant) => revokeHomeLink(tenant, phone.id));
    expect(await homeCaller(phone.id, phone.secret)).toBeNull();
  });

  it('is not known by its secret where the server’s own has changed: it still opens, and is not shown again', async () => {
    const { patientId } = await handedOver(me);
    const { token } = await linkFor(patientId);
    const before = process.env.SOVET_SECRET!;
    process.env.SOVET_SECRET = 'another secret of the tests and of nothing else, 98765';
    expect((await recordOf(patientId)).links[0]).toMatchObject({ state: 'good', url: null });
    expect(await open(token)).toHaveProperty('link');
    process.env.SOVET_SECRET = before;
    expect(homeDigest(token)).not.toBe(token);
  });
});

describe('what is said from home', () => {
  it('goes into the pair’s record once, however often it arrives', async () => {
    const { patientId, pairId } = await handedOver(me);
    const { say } = await phoneOf(patientId);
    const id = randomUUID();
    for (let twice = 0; twice < 2; twice += 1) await say({ kind: 'use', amount: 4.5 }, pairId, { id });
    await say({ kind: 'outing', felt: 'fine', gaitChanged: false, marks: false }, pairId);
    const { pair, breakIn } = await asTenant(me, (tenant) => readPair(tenant, pairId));
    expect(pair.log.filter(({ note }) => note === 'from home')).toMatchObject([
      { on: today(), distanceKm: 4.5 },
    ]);
    expect(breakIn!.answers).toMatchObject([{ on: today(), felt: 'fine' }]);
    expect((await recordOf(patientId)).reports.map(({ words }) => words)).toEqual([
      'outing: fine',
      'used 4.5 km',
    ]);
  });

  it('adds to the outcomes of a day and leaves what the clinic took', async () => {
    const { patientId, pairId } = await handedOver(me);
    const { say } = await phoneOf(patientId);
    await say({ kind: 'comfort', comfort: 20, pain: 4 }, pairId);
    await say({ kind: 'warning', signs: ['fall'] }, pairId);
    await say({ kind: 'warning', signs: ['fall', 'hot'] }, pairId);
    const { outcomes } = await asTenant(me, (tenant) => readPair(tenant, pairId));
    expect(outcomes.taken).toMatchObject([{ comfort: 71, pain: 4, falls: 2 }]);
  });

  it('that warns stands in Today until somebody writes what was found', async () => {
    const { patientId, pairId } = await handedOver(me);
    const { say } = await phoneOf(patientId);
    expect(await say({ kind: 'outing', felt: 'mild', gaitChanged: false, marks: false }, pairId)).toEqual({
      isWarning: false,
    });
    expect(await kinds(patientId)).not.toContain('home-warning');
    await say({ kind: 'warning', signs: ['hot', 'numb'] }, pairId);
    expect(await kinds(patientId)).toContain('home-warning');
    const [report] = (await recordOf(patientId)).reports;
    expect(report).toMatchObject({ words: 'hot or red, numb', isWarning: true, seenAt: null });
    await asTenant(me, (tenant) => seeReport(tenant, report!.id, { found: 'called, comes at two' }));
    expect(await kinds(patientId)).not.toContain('home-warning');
    expect((await recordOf(patientId)).reports[0]).toMatchObject({
      found: 'called, comes at two',
      seenBy: me.name,
    });
  });

  it('of a foot at risk warns at the first mark, and no advice is on its page', async () => {
    const atRisk = { sensation: 'lost', pulses: 'present' };
    const { patientId, pairId } = await handedOver(me, {
      feet: {
        findings: {
          left: { footLength: 244, ...atRisk },
          right: { footLength: 245, sensation: 'felt', pulses: 'present' },
        },
      },
    });
    const phone = await phoneOf(patientId);
    const { view } = await pageOf(phone);
    expect(view.pairs[0]!.advice.left).toBeNull();
    const spot = { side: 'left', place: 'ball' } as const;
    expect(await phone.say({ kind: 'blister', spot, isOpen: false }, pairId)).toEqual({ isWarning: true });
  });

  it('a week late is taken at its day; of a day before the pair or after its end it is kept, beside its record', async () => {
    const { patientId, pairId } = await handedOver(me);
    await asOwner(db, (client) =>
      client.query('update pair set started_on = $2 where id = $1', [pairId, addDays(today(), -20)]),
    );
    const { say } = await phoneOf(patientId);
    await say({ kind: 'use', amount: 3 }, pairId, { on: addDays(today(), -7) });
    await asTenant(me, (tenant) => endPair(tenant, pairId, { on: addDays(today(), -5), because: 'lost' }));
    await say({ kind: 'use', amount: 2 }, pairId);
    const { pair } = await asTenant(me, (tenant) => readPair(tenant, pairId));
    expect(pair.log.flatMap(({ on, distanceKm }) => (distanceKm ? [[on, distanceKm]] : []))).toEqual([
      [addDays(today(), -7), 3],
    ]);
    const [late, early] = (await recordOf(patientId)).reports;
    expect(late!.aside).toContain('was retired');
    expect(early!.aside).toBeNull();
  });

  it('more than a person says in a day is not taken', async () => {
    const { patientId } = await handedOver(me);
    const { say } = await phoneOf(patientId);
    for (let many = 0; many < 200; many += 1) await say({ kind: 'socks', ply: 3 }, null);
    expect((await refusal(say({ kind: 'socks', ply: 3 }, null))).status).toBe(429);
  });
});

describe('the page of one person', () => {
  it('speaks their language', async () => {
    const { patientId } = await handedOver(me);
    await asTenant(me, (tenant) => changePatient(tenant, patientId, { language: 'de' }));
    const { view } = await pageOf(await phoneOf(patientId));
    expect(view.language).toBe('de');
    expect(view.words.wrongTitle).toBe('Etwas stimmt nicht');
  });

  it('sends a wet print and a film before any pair, which the readers of a visit find as unverified', async () => {
    const patientId = await somebodyCalled(me, 'Filmed', '1980-01-01');
    const phone = await phoneOf(patientId);
    const jpeg = (last: number) => Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0, last]);
    const frames = [1, 2, 3].map((last) => jpeg(last).toString('base64'));
    await phone.say({ kind: 'clip', perSecond: 25, frames }, null);
    await phone.say({ kind: 'picture', of: 'print', image: jpeg(9).toString('base64') }, null);
    const { reports } = await asTenant(me, (tenant) => readHomeRecord(tenant, patientId));
    expect(reports.map(({ reads, hasPicture }) => [reads, hasPicture])).toEqual([
      [{ kind: 'print' }, true],
      [{ kind: 'clip', frames: 3, perSecond: 25 }, true],
    ]);
    const picture = async (at: number, frame?: number, actor = me) => {
      const file = await asTenant(actor, (tenant) => homePictureFile(tenant, reports[at]!.id, frame));
      return [...new Uint8Array(await file.arrayBuffer())].at(-1);
    };
    expect([await picture(1, 0), await picture(1, 2), await picture(0)]).toEqual([1, 3, 9]);
    expect((await refusal(picture(1, 3))).status).toBe(404);
    expect((await refusal(picture(1, 0, db.clinicB.practitioner))).status).toBe(404);
  });

  it('goes out with everything of them, and is erased with them', async () => {
    const { patientId, pairId, familyName } = await handedOver(me);
    const phone = await phoneOf(patientId);
    await phone.say({ kind: 'new-pair', name: 'findable boots' }, null);
    const image = Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0, 16]).toString('base64');
    await phone.say({ kind: 'picture', of: 'wear', image }, pairId);
    await phone.say({ kind: 'clip', perSecond: 25, frames: [image, image] }, null);
    const answer = await asTenant(me, (tenant) => exportPatient(tenant, patientId));
    const files = unzipSync(new Uint8Array(await answer.arrayBuffer()));
    expect(new TextDecoder().decode(files['from-home.json'])).toContain('findable boots');
    expect(Object.keys(files).some((name) => /^from-home\/.*\.jpg$/.test(name))).toBe(true);
    await asTenant(db.clinicA.lead, (tenant) =>
      erasePatient(tenant, patientId, { familyName, reason: 'asked for it' }),
    );
    const left = await asOwner(db, (client) =>
      client.query(
        `select (select count(*) from home_report where patient_id = $1) + (select count(*) from home_link where patient_id = $1) as many`,
        [patientId],
      ),
    );
    expect(Number(left.rows[0].many)).toBe(0);
    expect(await homeCaller(phone.id, phone.secret)).toBeNull();
    expect((await refusal(open(phone.token))).status).toBe(404);
  });
});
