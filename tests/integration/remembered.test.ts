import type { APIContext } from 'astro';
import pg from 'pg';
import {
  afterAll,
  afterEach,
  beforeAll,
  beforeEach,
  describe,
  expect,
  it,
  type MockInstance,
  vi,
} from 'vitest';
import { PATCH } from '@/pages/api/v1/clinic';
import { signedIn } from '@/server/auth/actor';
import { auth } from '@/server/auth/auth';
import { forgetEverybody, rememberedBehind } from '@/server/auth/remembered';
import { freshDatabase, type TestDatabase } from './database';
import { cookieOf } from './signing-in';

let db: TestDatabase;
/** Another copy of the application, as far as this one can tell. */
let elsewhere: pg.Client;
let cookie: Headers;
let asked: MockInstance;

/** How often the database was asked who this is, of so many requests. */
async function questions(requests: number): Promise<number> {
  asked.mockClear();
  for (let at = 0; at < requests; at += 1) await signedIn(cookie);
  return asked.mock.calls.length;
}
const remembered = () => expect.poll(() => questions(3), { timeout: 15_000 }).toBe(0);
const practitioner = () => db.clinicA.practitioner;

beforeAll(async () => {
  db = await freshDatabase();
  asked = vi.spyOn(auth().api, 'getSession');
  elsewhere = new pg.Client({ connectionString: db.ownerUrl });
  await elsewhere.connect();
});
beforeEach(async () => {
  cookie = await cookieOf('practitioner@a.example');
  await remembered();
});
afterEach(async () => {
  await elsewhere.query(`update auth."user" set role = 'practitioner', standing = 'active' where id = $1`, [
    practitioner().userId,
  ]);
});
afterAll(async () => {
  await elsewhere.end();
  await db.drop();
});

describe('who was found behind a cookie is remembered', () => {
  it('until something is changed here, which holds for the very next request', async () => {
    const lead = await cookieOf('lead@a.example');
    const ask = async (secondFactorRequired: boolean) => {
      const url = new URL('http://clinic.test/api/v1/clinic');
      const headers = new Headers(lead);
      headers.set('origin', 'http://clinic.test');
      const request = new Request(url, {
        method: 'PATCH',
        headers,
        body: JSON.stringify({ secondFactorRequired }),
      });
      return (await PATCH({ request, url, params: {} } as unknown as APIContext)).status;
    };
    expect(await ask(true)).toBe(200);
    expect((await signedIn(cookie))?.lacksSecondFactor).toBe(true);
    await elsewhere.query('update clinic set second_factor_required = false');
  });

  it('until another copy ends the session', async () => {
    await elsewhere.query('delete from auth.session where "userId" = $1', [practitioner().userId]);
    await expect.poll(() => signedIn(cookie)).toBeNull();
  });

  it('until another copy suspends them, gives them another role, or moves them to a site', async () => {
    const change = (set: string) =>
      elsewhere.query(`update auth."user" set ${set} where id = $1`, [practitioner().userId]);
    await change(`role = 'lead'`);
    await expect.poll(async () => (await signedIn(cookie))?.actor.role).toBe('lead');
    await remembered();
    await change(`standing = 'suspended'`);
    await expect.poll(() => signedIn(cookie)).toBeNull();
  });

  it('until their clinic asks for a second factor, or writes its days another way', async () => {
    const { clinicId } = practitioner();
    await elsewhere.query('update clinic set second_factor_required = true where clinic_id = $1', [clinicId]);
    await expect.poll(async () => (await signedIn(cookie))?.lacksSecondFactor).toBe(true);
    await remembered();
    await elsewhere.query('update clinic set second_factor_required = false where clinic_id = $1', [
      clinicId,
    ]);
    await expect.poll(async () => (await signedIn(cookie))?.lacksSecondFactor).toBe(false);
  });

  /** How often somebody is asked for again where something happens while they are looked up. */
  async function lookedUp(name: string, meanwhile: (accountId: string) => void | Promise<void>) {
    const who = await signedIn(cookie);
    if (who?.by !== 'cookie') throw new Error('nobody is signed in');
    let times = 0;
    const find = async () => {
      times += 1;
      await meanwhile(who.accountId);
      return { who, until: Date.now() + 60_000 };
    };
    await rememberedBehind(name, find);
    await rememberedBehind(name, find);
    return times;
  }

  it('but not where something is told of them while they are looked up', async () => {
    forgetEverybody();
    const told = await lookedUp('a cookie', async (accountId) => {
      await elsewhere.query(`select pg_notify('sign_in', $1)`, [accountId]);
      // Told and heard: the answer of this connection comes after the news of the other.
      await new Promise((heard) => setTimeout(heard, 200));
    });
    expect(told).toBe(2);
  });

  it('nor where something was changed here while they are looked up', async () => {
    expect(await lookedUp('a cookie of that moment', forgetEverybody)).toBe(2);
  });

  it('no longer than the session itself', async () => {
    const who = await signedIn(cookie);
    if (who?.by !== 'cookie') throw new Error('nobody is signed in');
    let times = 0;
    const find = async () => {
      times += 1;
      return { who, until: Date.now() - 1 };
    };
    await rememberedBehind('a cookie that ended', find);
    await expect
      .poll(async () => {
        await rememberedBehind('a cookie that ended', find);
        return times;
      })
      .toBeGreaterThan(1);
  });

  it('and nobody is, while the line to the database is cut', async () => {
    await elsewhere.query(
      `select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and query like '%pg_notify%' and pid <> pg_backend_pid()`,
    );
    await expect.poll(() => questions(3)).toBe(3);
    // The next beat opens a new one.
    await remembered();
  });
});
