import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { prepareDatabase, startApplication } from '../../../scripts/lib/application.mjs';
import { freePort, startPostgres } from '../../../scripts/lib/postgres.mjs';
import { PASSWORD } from '../keyboard';

const SECRET = 'a secret of the day on which the database went away';

/** A database and an application of this story’s own, which may be killed without hurting another. */
async function ownServer() {
  const folder = mkdtempSync(join(tmpdir(), 'sovet-away-'));
  const port = await freePort();
  let database = await startPostgres(folder, 'sovet_away', port);
  const logins = prepareDatabase(database.url, SECRET);
  const application = await startApplication({ port: await freePort(), secret: SECRET, logins });
  const postmaster = () =>
    Number(readFileSync(join(folder, 'postgres/postmaster.pid'), 'utf8').split('\n')[0]);
  return {
    ...application,
    /** The server and every process of it, as in a power cut. */
    kill: () => process.kill(-postmaster(), 'SIGKILL'),
    freeze: () => process.kill(-postmaster(), 'SIGSTOP'),
    thaw: () => process.kill(-postmaster(), 'SIGCONT'),
    back: async () => {
      database = await startPostgres(folder, 'sovet_away', port);
    },
    end: async () => {
      await application.stop();
      await database.stop();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

test('the database is killed and comes back: nothing typed is lost, and nobody restarts the application', async ({
  page,
  request,
}) => {
  test.setTimeout(120_000);
  const server = await ownServer();
  const at = (path: string) => `${server.origin}${path}`;
  const timed = async (path: string) => {
    const before = Date.now();
    const answer = await request.get(at(path));
    return { status: answer.status(), ms: Date.now() - before, headers: answer.headers() };
  };
  try {
    await page.goto(at('/sign-in'));
    await page.waitForLoadState('networkidle');
    await page.getByLabel('E-mail').fill('practitioner@harbour.example');
    await page.getByLabel('Password').fill(PASSWORD);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.waitForURL(/today/);
    await page.goto(at('/patients?q=Quaye'));
    await page.getByRole('table').getByRole('link').first().click();
    await page.getByRole('button', { name: /visit/ }).click();
    await page.waitForURL(/visits/);
    await page.goto(`${page.url().split('#')[0]}#ask`);
    await page.getByLabel('Body mass').fill('71');
    await expect(page.locator('[data-saving=saved]')).toBeVisible();

    for (const round of [1, 2, 3]) {
      server.kill();
      const away = await timed('/readyz');
      expect(away.status).toBe(503);
      expect(away.ms).toBeLessThan(1000);
      expect((await timed('/healthz')).status).toBe(200);
      const api = await request.get(at('/api/v1/today'), { headers: { authorization: 'Bearer x' } });
      expect(api.status()).toBe(503);
      expect(api.headers()['retry-after']).toBe('2');
      expect((await api.json()).code).toBe('unavailable');
      await page.getByLabel('Body mass').fill(String(80 + round));
      await expect(page.getByText(/No connection. Kept in this browser/)).toBeVisible();
      const whilst = await page.request.get(at('/today'));
      expect(whilst.status()).toBe(503);
      expect(await whilst.text()).toContain('The records cannot be reached');
      await server.back();
      await expect.poll(async () => (await timed('/readyz')).status, { timeout: 5000 }).toBe(200);
      await expect(page.locator('[data-saving=saved]')).toBeVisible({ timeout: 15_000 });
    }
    const id = /visits\/([0-9a-f-]+)/.exec(page.url())![1];
    const record = await (await page.request.get(at(`/api/v1/visits/${id}`))).json();
    const ask = record.steps.find(({ step }: { step: string }) => step === 'ask');
    expect(ask.content.findings.body.bodyMass).toBe(83);

    // A database that hangs says nothing at all: the answer is due all the same.
    server.freeze();
    try {
      const hung = await timed('/readyz');
      expect(hung.status).toBe(503);
      expect(hung.ms).toBeLessThan(1100);
      expect((await timed('/healthz')).ms).toBeLessThan(1000);
    } finally {
      server.thaw();
    }
    await expect.poll(async () => (await timed('/readyz')).status, { timeout: 5000 }).toBe(200);
  } finally {
    await server.end();
  }
});
