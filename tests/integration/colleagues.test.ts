import { SMTPServer } from 'smtp-server';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { signedIn } from '@/server/auth/actor';
import { join, whoJoins } from '@/server/auth/join';
import { authDatabase } from '@/server/database/connection';
import { type Actor, asTenant } from '@/server/database/tenant';
import { forgetMailServer, sendWaitingMail } from '@/server/mail/send';
import {
  actOnPerson,
  changePerson,
  invite,
  listPeople,
  OUTBOX_PAGE,
  readOutbox,
} from '@/server/services/people/colleagues';
import { addToken } from '@/server/services/people/tokens';
import { asOwner, freshDatabase, type TestDatabase } from './database';
import { cookieOf, refusal } from './signing-in';

let db: TestDatabase;
let lead: Actor;

beforeAll(async () => {
  db = await freshDatabase();
  lead = db.clinicA.lead;
});
afterAll(() => db.drop());

const people = (who = lead) => asTenant(who, listPeople);
const letters = () => asTenant(lead, readOutbox);
const tokenIn = (body: string) => /token=([\w-]+)/.exec(body)![1]!;

async function invited(email: string): Promise<{ id: string; token: string }> {
  const person = await asTenant(lead, (tenant) =>
    invite(tenant, { name: 'Ida New', email, role: 'assistant' }),
  );
  const letter = (await letters()).find(({ recipient }) => recipient === email)!;
  return { id: person.id, token: tokenIn(letter.body) };
}

describe('the outbox', () => {
  it('is read page by page, newest first; what is older than ninety days is not shown', async () => {
    const mine = db.clinicB.lead;
    await asOwner(db, (client) =>
      client.query(
        `insert into mail (clinic_id, recipient, subject, body, state, written_at)
         select $1, 'somebody@far.example', 'letter ' || n, '', 'sent', now() - n / 5 * interval '1 day'
         from generate_series(1, 470) n`,
        [mine.clinicId],
      ),
    );
    const first = await asTenant(mine, readOutbox);
    expect(first).toHaveLength(OUTBOX_PAGE);
    const second = await asTenant(mine, (tenant) => readOutbox(tenant, first.at(-1)!.id));
    const third = await asTenant(mine, (tenant) => readOutbox(tenant, second.at(-1)!.id));
    const all = [...first, ...second, ...third];
    expect(new Set(all.map(({ id }) => id)).size).toBe(449);
    expect(all.map(({ writtenAt }) => writtenAt)).toEqual(
      all
        .map(({ writtenAt }) => writtenAt)
        .sort()
        .reverse(),
    );
    await asOwner(db, (client) => client.query('delete from mail where clinic_id = $1', [mine.clinicId]));
  });
});

describe('inviting a colleague', () => {
  it('a link sets a password once; a weak one is refused at its field and uses nothing up', async () => {
    const { id, token } = await invited('ida@a.example');
    expect((await people()).find((person) => person.id === id)).toMatchObject({
      state: 'invited',
      role: 'assistant',
    });
    const weak = await refusal(join({ token, password: 'short' }));
    expect(weak.extra.errors?.[0]?.path).toEqual(['password']);
    expect(await join({ token, password: 'rope ladder at ebb tide' })).toEqual({ email: 'ida@a.example' });
    expect((await people()).find((person) => person.id === id)?.state).toBe('active');
    expect(await whoJoins(token)).toBeNull();
    expect((await refusal(join({ token, password: 'another ladder at ebb' }))).status).toBe(404);
    expect(await signedIn(await cookieOf('ida@a.example', 'rope ladder at ebb tide'))).toMatchObject({
      actor: { clinicId: db.clinicA.id, role: 'assistant', name: 'Ida New' },
    });
  });

  it('two who open one link at once: one of them', async () => {
    const { token } = await invited('twice@a.example');
    const ends = await Promise.allSettled([
      join({ token, password: 'first ladder at ebb tide' }),
      join({ token, password: 'second ladder at ebb tide' }),
    ]);
    expect(ends.filter(({ status }) => status === 'fulfilled')).toHaveLength(1);
  });

  it('a newer link takes the place of the older one; an old one has passed', async () => {
    const { id, token } = await invited('late@a.example');
    await asTenant(lead, (tenant) => actOnPerson(tenant, id, 'reset-password'));
    expect(await whoJoins(token)).toBeNull();
    const fresh = tokenIn((await letters()).find(({ recipient }) => recipient === 'late@a.example')!.body);
    expect(await whoJoins(fresh)).toMatchObject({ kind: 'invitation' });
    await authDatabase().query(
      `update auth.password_link set expires_at = now() - interval '1 second' where user_id = $1`,
      [id],
    );
    expect(await whoJoins(fresh)).toBeNull();
  });

  it('an address that somebody of this clinic has is refused; one known elsewhere is invited like any other', async () => {
    const asked = (email: string) =>
      asTenant(lead, (tenant) => invite(tenant, { name: 'X', email, role: 'assistant' }));
    expect((await refusal(asked('Practitioner@a.example'))).extra.errors?.[0]).toMatchObject({
      path: ['email'],
    });
    const known = await asked('assistant@b.example');
    const fresh = await asked('nobody-yet@a.example');
    expect({ ...known, id: '', email: '' }).toEqual({ ...fresh, id: '', email: '' });
  });
});

describe('looking after colleagues', () => {
  it('who is suspended is out at once, tokens included, and comes back only when taken back', async () => {
    const { userId } = db.clinicA.practitioner;
    const cookie = await cookieOf('practitioner@a.example');
    const { token } = await asTenant(db.clinicA.practitioner, (tenant) =>
      addToken(tenant, { name: 'machine', days: 9, access: 'write' }),
    );
    const bearer = new Headers({ authorization: `Bearer ${token}` });
    expect(await signedIn(cookie)).not.toBeNull();
    expect(await signedIn(bearer)).not.toBeNull();
    await asTenant(lead, (tenant) => changePerson(tenant, userId, { state: 'suspended' }));
    await expect.poll(() => signedIn(cookie)).toBeNull();
    await expect.poll(() => signedIn(bearer)).toBeNull();
    await expect(cookieOf('practitioner@a.example')).rejects.toThrow();
    await asTenant(lead, (tenant) => changePerson(tenant, userId, { state: 'active' }));
    expect(await signedIn(await cookieOf('practitioner@a.example'))).toMatchObject({ by: 'cookie' });
  });

  it('a changed role counts with the next request', async () => {
    const { userId } = db.clinicA.assistant;
    const cookie = await cookieOf('assistant@a.example');
    await asTenant(lead, (tenant) => changePerson(tenant, userId, { role: 'practitioner' }));
    await expect.poll(async () => (await signedIn(cookie))?.actor.role).toBe('practitioner');
    await asTenant(lead, (tenant) => changePerson(tenant, userId, { role: 'assistant' }));
  });

  it('the last lead stays; two leads cannot both go', async () => {
    expect(
      (await refusal(asTenant(lead, (tenant) => changePerson(tenant, lead.userId, { role: 'assistant' }))))
        .status,
    ).toBe(409);
    expect(
      (await refusal(asTenant(lead, (tenant) => changePerson(tenant, lead.userId, { state: 'left' }))))
        .status,
    ).toBe(409);
    const { userId } = db.clinicA.practitioner;
    await asTenant(lead, (tenant) => changePerson(tenant, userId, { role: 'lead' }));
    const ends = await Promise.allSettled([
      asTenant(lead, (tenant) => changePerson(tenant, lead.userId, { role: 'assistant' })),
      asTenant(lead, (tenant) => changePerson(tenant, userId, { role: 'assistant' })),
    ]);
    expect(ends.filter(({ status }) => status === 'fulfilled')).toHaveLength(1);
    const leads = (await people()).filter(({ role, state }) => role === 'lead' && state === 'active');
    expect(leads).toHaveLength(1);
    await asTenant({ ...lead, userId: leads[0]!.id }, (tenant) =>
      changePerson(tenant, lead.userId, { role: 'lead' }),
    );
  });

  it('a colleague of another clinic is not found, nor listed, nor acted on', async () => {
    const { userId } = db.clinicB.assistant;
    expect((await people()).some(({ id }) => id === userId)).toBe(false);
    expect(
      (await refusal(asTenant(lead, (tenant) => changePerson(tenant, userId, { role: 'lead' })))).status,
    ).toBe(404);
    expect(
      (await refusal(asTenant(lead, (tenant) => actOnPerson(tenant, userId, 'sign-out-everywhere')))).status,
    ).toBe(404);
    expect((await asTenant(db.clinicB.lead, readOutbox)).length).toBe(0);
  });

  it('signing out everywhere ends every session of that person and of nobody else', async () => {
    const [first, second] = [await cookieOf('assistant@a.example'), await cookieOf('assistant@a.example')];
    const mine = await cookieOf('lead@a.example');
    const { userId } = db.clinicA.assistant;
    const done = await asTenant(lead, (tenant) => actOnPerson(tenant, userId, 'sign-out-everywhere'));
    expect(done.sessions).toBe(0);
    await expect.poll(() => signedIn(first)).toBeNull();
    await expect.poll(() => signedIn(second)).toBeNull();
    expect(await signedIn(mine)).not.toBeNull();
  });
});

describe('letters', () => {
  it('without a mail server they are shown in the outbox, link and all', async () => {
    await sendWaitingMail();
    const shown = await letters();
    expect(shown.length).toBeGreaterThan(0);
    expect(shown.every(({ state }) => state === 'shown')).toBe(true);
    expect(shown.some(({ body }) => body.includes('/join?token='))).toBe(true);
  });

  it('with one they arrive once, from two copies at work, and what was sent keeps no link', async () => {
    const arrived: string[] = [];
    let refusing = true;
    const server = new SMTPServer({
      authOptional: true,
      disabledCommands: ['STARTTLS'],
      onData(stream, _, done) {
        let text = '';
        stream.on('data', (chunk) => {
          text += chunk;
        });
        stream.on('end', () => {
          if (refusing) return done(Object.assign(new Error('not now'), { responseCode: 451 }));
          arrived.push(text);
          done();
        });
      },
    });
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    const { port } = server.server.address() as { port: number };
    process.env.SOVET_SMTP = `smtp://127.0.0.1:${port}`;
    forgetMailServer();
    try {
      await invited('post@a.example');
      await sendWaitingMail();
      const waiting = (await letters()).find(({ recipient }) => recipient === 'post@a.example')!;
      expect(waiting.state).toBe('waiting');
      expect(waiting.problem).toMatch(/did not take it/);
      // Not at once again: later each time.
      expect(await sendWaitingMail()).toBe(0);
      refusing = false;
      await authDatabase().query(`update public.mail set next_try_at = now() where state = 'waiting'`);
      await Promise.all([sendWaitingMail(), sendWaitingMail()]);
      expect(arrived).toHaveLength(1);
      expect(arrived[0]).toMatch(/To: post@a\.example/);
      expect(arrived[0]).toContain('http://clinic.test/join?token=');
      const sent = (await letters()).find(({ recipient }) => recipient === 'post@a.example')!;
      expect(sent.state).toBe('sent');
      expect(sent.body).not.toContain('token=');
    } finally {
      delete process.env.SOVET_SMTP;
      forgetMailServer();
      await new Promise<void>((resolve) => server.close(() => resolve()));
    }
  });
});
