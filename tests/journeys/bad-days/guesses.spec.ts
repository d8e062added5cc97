import { expect, test } from '@playwright/test';
import { startApplication } from '../../../scripts/lib/application.mjs';
import { freePort } from '../../../scripts/lib/postgres.mjs';
import { PASSWORD } from '../keyboard';
import { ownApplication } from '../own-server';

const VICTIM = 'assistant@harbour.example';

test('two hundred guesses at one account from two hundred addresses: few reach the password, and the colleague signs in', async () => {
  // Behind a proxy on this machine, which says where each request came from.
  const server = await ownApplication({ SOVET_PROXIES: 'loopback' });
  const signIn = (origin: string, address: string, email: string, password: string, cookie = '') =>
    fetch(`${origin}/api/auth/sign-in/email`, {
      method: 'POST',
      headers: {
        'content-type': 'application/json',
        origin,
        'x-forwarded-for': address,
        ...(cookie ? { cookie } : {}),
      },
      body: JSON.stringify({ email, password }),
    });
  const addressOf = (at: number) => `203.0.113.${at % 250}`;
  try {
    const first = await signIn(server.origin, '198.51.100.7', VICTIM, PASSWORD);
    expect(first.status).toBe(200);
    const device = first.headers.getSetCookie().find((cookie) => cookie.startsWith('sovet.device='))!;
    expect(device).toMatch(/HttpOnly/);

    const statuses: number[] = [];
    const colleague: number[] = [];
    for (let round = 0; round < 20; round += 1) {
      const guesses = Array.from({ length: 10 }, (_, at) =>
        signIn(server.origin, addressOf(round * 10 + at), VICTIM, `guess number ${round * 10 + at}`),
      );
      if (round % 5 === 4) {
        const answer = await signIn(server.origin, '198.51.100.7', VICTIM, PASSWORD, device.split(';')[0]);
        colleague.push(answer.status);
      }
      for (const answer of await Promise.all(guesses)) {
        statuses.push(answer.status);
        if (answer.status === 429) expect(Number(answer.headers.get('retry-after'))).toBeGreaterThan(0);
      }
    }
    expect(statuses).toHaveLength(200);
    expect(statuses.filter((status) => status === 401).length).toBeLessThan(20);
    expect(statuses.filter((status) => status !== 401 && status !== 429)).toEqual([]);
    expect(colleague).toEqual([200, 200, 200, 200]);
    // Each further guess doubles the wait; once it is long, the right password from a browser that nobody knows waits too.
    await expect
      .poll(
        async () => {
          const answer = await signIn(server.origin, '203.0.113.9', VICTIM, 'one more guess');
          return answer.status === 429 ? Number(answer.headers.get('retry-after')) : 0;
        },
        { timeout: 60_000 },
      )
      .toBeGreaterThanOrEqual(8);
    expect((await signIn(server.origin, '203.0.113.9', VICTIM, PASSWORD)).status).toBe(429);
    // A name that nobody has is treated alike: the answer tells nothing.
    const nobody = await Promise.all(
      Array.from({ length: 30 }, (_, at) =>
        signIn(server.origin, addressOf(at), 'nobody@harbour.example', 'x'.repeat(12)),
      ),
    );
    expect(nobody.filter(({ status }) => status === 401).length).toBeLessThan(20);
    expect(nobody.some(({ status }) => status === 429)).toBe(true);

    // Without a declared proxy nobody is believed: changing the header changes nothing.
    const bare = await startApplication({
      port: await freePort(),
      secret: server.secret,
      logins: server.logins,
    });
    try {
      const tried: number[] = [];
      for (let at = 0; at < 14; at += 1)
        tried.push(
          (await signIn(bare.origin, addressOf(at), `someone${at}@harbour.example`, 'not right at all'))
            .status,
        );
      expect(tried.filter((status) => status === 401)).toHaveLength(10);
      expect(tried.slice(10)).toEqual([429, 429, 429, 429]);
    } finally {
      await bare.stop();
    }
  } finally {
    await server.end();
  }
});
