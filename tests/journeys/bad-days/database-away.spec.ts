import { expect, test } from '@playwright/test';
import { PASSWORD, ready } from '../keyboard';
import { ownServer } from '../own-server';

/** It gives up after 0.7 s, where a question waits for 20; the rest is a machine that does other things too. */
const AT_ONCE_MS = 3000;

test('the database is killed and comes back: nothing typed is lost, and nobody restarts the application', async ({
  page,
  request,
}) => {
  const server = await ownServer();
  const at = (path: string) => `${server.origin}${path}`;
  const timed = async (path: string) => {
    const before = Date.now();
    const answer = await request.get(at(path));
    return { status: answer.status(), ms: Date.now() - before, headers: answer.headers() };
  };
  try {
    await page.goto(at('/sign-in'));
    await ready(page);
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
      expect(away.ms).toBeLessThan(AT_ONCE_MS);
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
      await expect.poll(async () => (await timed('/readyz')).status, { timeout: 60_000 }).toBe(200);
      await expect(page.locator('[data-saving=saved]')).toBeVisible();
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
      expect(hung.ms).toBeLessThan(AT_ONCE_MS);
      expect((await timed('/healthz')).ms).toBeLessThan(AT_ONCE_MS);
    } finally {
      server.thaw();
    }
    await expect.poll(async () => (await timed('/readyz')).status, { timeout: 60_000 }).toBe(200);
  } finally {
    await server.end();
  }
});
