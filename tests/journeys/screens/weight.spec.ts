import { gzipSync } from 'node:zlib';
import { expect, type Page, type Response, test } from '@playwright/test';
import { signIn } from '../keyboard';
import { origin } from '../server';
import { openDemoVisit, VISIT_STEPS } from './looking';

/** Kilobytes of script, gzipped, that a page loads while something is done with it. */
async function scriptsOf(page: Page, use: () => Promise<void>): Promise<number> {
  const scripts = new Set<string>();
  const note = (response: Response) => {
    if (new URL(response.url()).pathname.endsWith('.js')) scripts.add(response.url());
  };
  page.on('response', note);
  await use();
  await page.waitForLoadState('networkidle');
  page.off('response', note);
  // Fetched again: what a page has loaded is gone once it was left.
  const sizes = await Promise.all(
    [...scripts].map(async (script) => gzipSync(await (await page.request.get(script)).body()).length),
  );
  return sizes.reduce((sum, size) => sum + size, 0) / 1000;
}

test('the first page carries no form library, and the visit no schemas: both stay light', async ({
  page,
}) => {
  const first = await scriptsOf(page, async () => {
    await page.goto(`${origin()}/sign-in`);
  });
  // React alone is 66; measured 73 when this was written, and 327.5 for a visit with every step opened (321 before the patient’s own page added its routes, 325.5 before what was felt at earlier visits spoke, 328 before every shoe stood on a prosthetic foot and an insert in each); half of it are React, its tabs and the rules.
  expect(first).toBeLessThan(80);
  await signIn(page);
  // The pages on the way to it are none of its weight.
  await openDemoVisit(page);
  const address = page.url().split('#')[0];
  const visit = await scriptsOf(page, async () => {
    await page.reload({ waitUntil: 'networkidle' });
    for (const step of VISIT_STEPS) await page.goto(`${address}#${step}`);
  });
  expect(visit).toBeLessThan(333);
});

test('files go out compressed, are kept for good where their name says what is in them, and nothing beside them does', async ({
  page,
}) => {
  const heads = new Map<string, Record<string, string>>();
  page.on('response', (response) => {
    const { pathname } = new URL(response.url());
    if (/\.(js|css)$/.test(pathname)) heads.set(pathname, response.headers());
  });
  await page.goto(`${origin()}/sign-in`, { waitUntil: 'networkidle' });
  expect(heads.size).toBeGreaterThan(3);
  for (const [path, head] of heads) {
    expect(head['cache-control'], path).toContain(path.startsWith('/_astro/') ? 'immutable' : 'no-cache');
    expect(head['x-content-type-options'], path).toBe('nosniff');
    if (Number(head['content-length']) > 1000) expect(head['content-encoding'], path).toMatch(/^(br|gzip)$/);
  }
  const [script] = [...heads.keys()].filter((path) => path.endsWith('.js'));
  const plain = await page.request.get(`${origin()}${script}`, {
    headers: { 'accept-encoding': 'identity' },
  });
  expect(plain.headers()['content-encoding']).toBeUndefined();
  const outside = await page.request.get(`${origin()}/..%2f..%2fpackage.json`, { maxRedirects: 0 });
  expect(outside.status()).not.toBe(200);
});
