import { randomUUID } from 'node:crypto';
import { appointmentsIn } from '@tests/fixtures/calendar';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { addDays } from '@/core/calendar/days';
import { RECALL_KINDS, type RecallKindId } from '@/core/recall/kinds';
import { optOutAddress } from '@/server/auth/opt-out';
import { type Actor, asTenant } from '@/server/database/tenant';
import { today } from '@/server/services/clock';
import { makeHomeLink } from '@/server/services/home/links';
import { readHomeRecord, receiveReport } from '@/server/services/home/reports';
import { answerOuting } from '@/server/services/pairs/break-in';
import { addConsent, withdrawConsent } from '@/server/services/patients/consents';
import { changePatient } from '@/server/services/patients/patients';
import { changeClinic } from '@/server/services/people/clinic';
import { digestOf, writeDigest } from '@/server/services/recall/digest';
import { writeLetters } from '@/server/services/recall/letters';
import { optOut } from '@/server/services/recall/opt-out';
import { readRecall } from '@/server/services/recall/recall';
import { noteTry } from '@/server/services/recall/tries';
import { saveStep, startVisit } from '@/server/services/visits/visits';
import { asOwner, freshDatabase, type TestDatabase } from './database';
import { handedOver } from './handed-over';
import { refusal } from './signing-in';
import { somebodyCalled, wornModel, wornPair } from './worn-pair';

let db: TestDatabase;
let me: Actor;
beforeAll(async () => {
  db = await freshDatabase();
  me = db.clinicA.practitioner;
});
afterAll(() => db.drop());

const list = () => asTenant(me, (tenant) => readRecall(tenant));
const rowOf = async (patientId: string, kind: RecallKindId) =>
  (await list()).find((row) => row.patient.id === patientId && row.kind === kind);
const owner = (text: string, values: unknown[]) => asOwner(db, (client) => client.query(text, values));
const change = (patientId: string, part: Parameters<typeof changePatient>[2]) =>
  asTenant(me, (tenant) => changePatient(tenant, patientId, part));
/** Somebody whose review is due today. */
async function reviewed(part: Parameters<typeof changePatient>[2] = {}) {
  const somebody = await handedOver(me);
  await owner('update pair set review_on = $2 where id = $1', [somebody.pairId, today()]);
  await change(somebody.patientId, part);
  return somebody;
}
const write = (patientId: string, kind: RecallKindId = 'review-due') =>
  asTenant(me, (tenant) => writeLetters(tenant, { to: [{ patient: patientId, kind, on: today() }] }));
const mailTo = async (recipient: string) =>
  (await owner('select * from mail where recipient = $1 order by written_at', [recipient])).rows;

describe('who needs what', () => {
  it('says of each row what it is about: the pair, the visit and how far it came, the order, the report', async () => {
    const { patientId, pairId } = await reviewed();
    expect(await rowOf(patientId, 'review-due')).toMatchObject({ aboutId: pairId, steps: null });
    const { id: visitId } = await asTenant(me, (tenant) => startVisit(tenant, patientId));
    expect(await rowOf(patientId, 'visit-open')).toMatchObject({ aboutId: visitId, steps: {}, what: '' });
    await asTenant(me, (tenant) =>
      saveStep(tenant, visitId, 'ask', { revision: 0, state: 'done', content: { findings: {} } }),
    );
    expect((await rowOf(patientId, 'visit-open'))?.steps).toEqual({ ask: 'done' });
    await owner('update patient set risk_check_on = $2 where id = $1', [patientId, today()]);
    expect((await rowOf(patientId, 'risk-check'))?.aboutId).toBeNull();
  });
  it('comes by urgency, then by day', async () => {
    await reviewed();
    const pair = await handedOver(me);
    await owner(`update pair set break_in_state = 'stop' where id = $1`, [pair.pairId]);
    const ranks = (await list()).map(({ kind, on }) => [RECALL_KINDS.indexOf(kind), on] as const);
    expect(ranks.length).toBeGreaterThan(1);
    expect(ranks).toEqual(ranks.toSorted((a, b) => a[0] - b[0] || (a[1] < b[1] ? -1 : 1)));
  });

  it('a review is due until somebody comes, an answer until there is one', async () => {
    const { patientId, pairId } = await reviewed();
    await owner('update pair set answers_due_on = $2, answers_until = $3 where id = $1', [
      pairId,
      addDays(today(), -1),
      addDays(today(), 9),
    ]);
    expect(await rowOf(patientId, 'answers-missing')).toBeDefined();
    await asTenant(me, (tenant) => answerOuting(tenant, pairId, { on: today(), felt: 'fine' }));
    expect(await rowOf(patientId, 'answers-missing')).toBeUndefined();
    expect(await rowOf(patientId, 'review-due')).toMatchObject({ on: today(), tried: null });
    await asTenant(me, (tenant) => startVisit(tenant, patientId));
    expect(await rowOf(patientId, 'review-due')).toBeUndefined();
  });

  it('feet at risk are due as their category asks, counted from each visit', async () => {
    const lost = { sensation: 'lost', pulses: 'absent' };
    const { patientId } = await handedOver(me, {
      feet: { findings: { left: { footLength: 244, ...lost }, right: { footLength: 245, ...lost } } },
    });
    const { rows } = await owner('select risk_check_months, risk_check_on::text from patient where id = $1', [
      patientId,
    ]);
    // Category 2: three to six months.
    expect(rows).toEqual([{ risk_check_months: 6, risk_check_on: addDays(today(), 180) }]);
    await owner('update patient set risk_check_on = $2 where id = $1', [patientId, today()]);
    expect(await rowOf(patientId, 'risk-check')).toMatchObject({
      what: expect.stringContaining('sensation'),
    });
    await asTenant(me, (tenant) => startVisit(tenant, patientId));
    expect(await rowOf(patientId, 'risk-check')).toBeUndefined();
  });

  it('names so many of a kind and no more', async () => {
    const patientId = await somebodyCalled(me, 'Manypairs', '1980-01-01');
    const model = await wornModel(me, { name: 'Many' });
    for (let many = 0; many < 5; many += 1) await wornPair(me, patientId, model, addDays(today(), -30), {});
    await owner('update pair set outcomes_due_on = $2 where patient_id = $1', [patientId, today()]);
    const due = (most?: number) =>
      asTenant(me, (tenant) => readRecall(tenant, { kinds: ['outcomes-due'], ...(most && { most }) }));
    expect(await due(3)).toHaveLength(3);
    expect(await due()).toHaveLength(5);
  });

  it('a step in ply from home ranks with the alarms', async () => {
    const { patientId } = await handedOver(me);
    await asTenant(me, (tenant) => makeHomeLink(tenant, patientId, 90));
    const { links } = await asTenant(me, (tenant) => readHomeRecord(tenant, patientId));
    const say = (ply: number, hour: string) =>
      asTenant(me, (tenant) =>
        receiveReport(
          tenant,
          { linkId: links[0]!.id, patientId },
          {
            id: randomUUID(),
            pair: null,
            on: today(),
            at: `${today()}T${hour}:00`,
            content: { kind: 'socks', ply },
          },
        ),
      );
    for (const [ply, hour] of [
      [3, '07'],
      [3, '08'],
      [4, '09'],
    ] as const)
      expect(await say(ply, hour)).toEqual({ isWarning: false });
    expect(await say(7, '10')).toEqual({ isWarning: true });
    expect((await rowOf(patientId, 'home-warning'))?.what).toBe(
      'socks: 7 ply; a sudden change from 3 ply: have the socket seen',
    );
  });

  it('of another clinic is not there', async () => {
    expect(await asTenant(db.clinicB.practitioner, (tenant) => readRecall(tenant))).toEqual([]);
  });
});

describe('what was tried', () => {
  it('stands beside it, and is of that one thing', async () => {
    const { patientId } = await reviewed();
    const about = { kind: 'review-due', on: today() } as const;
    await asTenant(me, (tenant) => noteTry(tenant, patientId, { ...about, way: 'no-answer', note: '' }));
    expect(await rowOf(patientId, 'review-due')).toMatchObject({
      tried: { way: 'no-answer', by: me.name },
    });
  });

  it('is put off with a reason and a day, and comes back', async () => {
    const { patientId } = await reviewed();
    const put = (part: { note?: string; until?: string }) =>
      asTenant(me, (tenant) =>
        noteTry(tenant, patientId, {
          kind: 'review-due',
          on: today(),
          way: 'snoozed',
          note: 'away at sea',
          until: addDays(today(), 10),
          ...part,
        }),
      );
    for (const [part, field] of [
      [{ note: ' ' }, 'note'],
      [{ until: today() }, 'until'],
      [{ until: addDays(today(), 400) }, 'until'],
    ] as const)
      expect((await refusal(put(part))).extra.errors?.[0]?.path).toEqual([field]);
    await put({});
    expect(await rowOf(patientId, 'review-due')).toBeUndefined();
    await owner('update contact_try set snoozed_until = $2 where patient_id = $1', [patientId, today()]);
    expect(await rowOf(patientId, 'review-due')).toBeDefined();
  });

  it('a warning is not put off', async () => {
    const { patientId } = await handedOver(me);
    const off = asTenant(me, (tenant) =>
      noteTry(tenant, patientId, {
        kind: 'stop-wearing',
        on: today(),
        way: 'snoozed',
        note: 'later',
        until: addDays(today(), 2),
      }),
    );
    expect((await refusal(off)).status).toBe(409);
  });
});

describe('letters', () => {
  it('go out by mail, once, in the patient’s language, with nothing of why in the subject', async () => {
    const email = 'kommt@home.example';
    const { patientId } = await reviewed({ contactBy: 'email', email, language: 'de' });
    expect((await write(patientId)).letters[0]).toMatchObject({ went: 'mail' });
    expect((await write(patientId)).letters[0]).toMatchObject({
      went: 'not',
      why: 'Was written to before about this.',
    });
    const mail = await mailTo(email);
    expect(mail).toHaveLength(1);
    expect(mail[0].subject).toMatch(/^Eine Nachricht von/);
    expect(mail[0].body).toContain('Es ist Zeit zu sehen');
    expect(mail[0].body).toContain('/no-more#');
    expect(await rowOf(patientId, 'review-due')).toMatchObject({ tried: { way: 'written' } });
  });

  it('are not written about what is not due', async () => {
    const email = 'nichts@home.example';
    const { patientId } = await reviewed({ contactBy: 'email', email });
    const { letters } = await asTenant(me, (tenant) =>
      writeLetters(tenant, {
        to: [{ patient: patientId, kind: 'review-due', on: addDays(today(), -1) }],
      }),
    );
    expect(letters[0]).toMatchObject({ went: 'not', why: 'This is no longer due.' });
    expect(await mailTo(email)).toEqual([]);
  });

  it('two at once are one letter', async () => {
    const email = 'zweimal@home.example';
    const { patientId } = await reviewed({ contactBy: 'email', email });
    await Promise.allSettled([write(patientId), write(patientId), write(patientId)]);
    expect(await mailTo(email)).toHaveLength(1);
  });

  it('are printed for who wants paper, and not written to who wants a call, nothing, or took consent back', async () => {
    const paper = await reviewed({ contactBy: 'letter', address: '1 Quay' });
    expect((await write(paper.patientId)).letters[0]).toMatchObject({
      went: 'print',
      print: { address: '1 Quay', body: expect.not.stringContaining('no-more') },
    });
    const call = await reviewed({ contactBy: 'phone', phone: '020 1' });
    expect((await write(call.patientId)).letters[0]).toMatchObject({ went: 'not' });
    const nothing = await reviewed({ contactBy: 'none' });
    expect((await write(nothing.patientId)).letters[0]!.why).toContain('Does not want');
    const email = 'zurueck@home.example';
    const back = await reviewed({ contactBy: 'email', email });
    await asTenant(me, async (tenant) => {
      const { id } = await addConsent(tenant, back.patientId, {
        kind: 'contact',
        how: 'spoken',
        givenOn: today(),
      });
      await withdrawConsent(tenant, id, today());
    });
    expect((await write(back.patientId)).letters[0]!.went).toBe('not');
    expect(await mailTo(email)).toEqual([]);
  });

  it('of a warning are not written', async () => {
    const { patientId } = await reviewed({ contactBy: 'email', email: 'warn@home.example' });
    expect((await write(patientId, 'stop-wearing')).letters[0]).toMatchObject({ went: 'not' });
    expect(await mailTo('warn@home.example')).toEqual([]);
  });

  it('wait for the end of the quiet hours', async () => {
    const hour = new Date().getHours();
    await asTenant(db.clinicA.lead, (tenant) =>
      changeClinic(tenant, { quietFrom: hour, quietTo: (hour + 2) % 24 }),
    );
    const email = 'nachts@home.example';
    const { patientId } = await reviewed({ contactBy: 'email', email });
    const { sendAt } = await write(patientId);
    expect(new Date(sendAt).getHours()).toBe((hour + 2) % 24);
    expect((await mailTo(email))[0].next_try_at.getTime()).toBe(new Date(sendAt).getTime());
    await asTenant(db.clinicA.lead, (tenant) => changeClinic(tenant, { quietFrom: 0, quietTo: 0 }));
  });

  it('can be stopped by the link in them, and by no other', async () => {
    const { patientId } = await reviewed({ contactBy: 'email', email: 'genug@home.example' });
    const token = new URL(optOutAddress(me.clinicId, patientId)).hash.slice(1);
    const other = (await reviewed({ contactBy: 'email', email: 'weiter@home.example' })).patientId;
    for (const forged of [
      token.replace(patientId, other),
      `${token.slice(0, -1)}${token.endsWith('A') ? 'B' : 'A'}`,
      'x',
    ])
      expect((await refusal(optOut({ token: forged }))).status).toBe(404);
    await optOut({ token });
    expect((await rowOf(patientId, 'review-due'))?.reach).toBe('Does not want to be contacted');
    expect((await rowOf(other, 'review-due'))?.reach).not.toBe('Does not want to be contacted');
  });
});

describe('the week’s letter', () => {
  it('goes to the leads once, in numbers and without a name', async () => {
    const { familyName } = await reviewed();
    const { body } = await asTenant(me, digestOf);
    expect(body).toMatch(/Review due: \d+/);
    expect(body).not.toContain(familyName);
    const leads = await asTenant(me, (tenant) => writeDigest(tenant));
    expect(leads).toBeGreaterThan(0);
    expect(await asTenant(me, (tenant) => writeDigest(tenant))).toBe(0);
    await asTenant(db.clinicB.lead, (tenant) => changeClinic(tenant, { digest: false }));
    expect(await asTenant(db.clinicB.practitioner, (tenant) => writeDigest(tenant))).toBe(0);
  });
});

it('a calendar that is subscribed to reads with another reader', async () => {
  const { clinicCalendar } = await import('@/server/services/patients/calendar');
  const file = await asTenant(me, (tenant) => clinicCalendar(tenant, 'https://clinic.example'));
  expect(appointmentsIn(file).length).toBeGreaterThan(0);
});
