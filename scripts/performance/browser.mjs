// What a browser loads, and how long a page takes over the heavy work.
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { SIGN_IN, signedIn } from './server.mjs';

/** A browser of its own for each measurement; one that draws scans without a graphics card is slow at all else. */
export async function inBrowser(chromium, executablePath, measure, origin, more = []) {
  const browser = await chromium.launch({
    executablePath,
    args: ['--no-sandbox', '--disable-background-networking', ...more],
  });
  await measure(browser, origin);
  await browser.close();
}

export const SOFTWARE_GL = ['--use-gl=angle', '--use-angle=swiftshader', '--enable-unsafe-swiftshader'];

/** A page of its own with a visit of the demo open, signed in as a person does. */
async function visitPage(browser, origin) {
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await page.goto(`${origin}/sign-in`, { waitUntil: 'networkidle' });
  await page.getByLabel('E-mail').fill(SIGN_IN.email);
  await page.getByLabel('Password').fill(SIGN_IN.password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForURL(/today/);
  await openVisit(page);
  return page;
}

async function openVisit(page) {
  await page
    .getByRole('link', { name: /Odran Pell/ })
    .first()
    .click();
  await page.locator('[data-visit]').waitFor();
}

/** Gzipped JavaScript that a page loads into an empty browser, with everything it fetches while it is used. */
export async function scriptSizes(browser, origin) {
  const measure = async (name, wanted, storageState, use) => {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, storageState });
    const page = await context.newPage();
    const bodies = new Map();
    context.on('response', (response) => {
      if (new URL(response.url()).pathname.endsWith('.js')) bodies.set(response.url(), response.body());
    });
    await use(page);
    const sizes = await Promise.all([...bodies.values()].map(async (body) => gzipSync(await body).length));
    const state = await context.storageState();
    await context.close();
    console.log(
      `JavaScript, ${name}: ${(sizes.reduce((sum, size) => sum + size, 0) / 1000).toFixed(0)} kB gzipped in ${sizes.length} files (wanted ≤ ${wanted})`,
    );
    return state;
  };
  await measure('sign-in', 110, undefined, (page) =>
    page.goto(`${origin}/sign-in`, { waitUntil: 'networkidle' }),
  );
  const [name, value] = (await signedIn(origin)).split('=', 2);
  const state = {
    cookies: [
      {
        name,
        value,
        domain: '127.0.0.1',
        path: '/',
        expires: -1,
        httpOnly: true,
        secure: false,
        sameSite: 'Lax',
      },
    ],
    origins: [],
  };
  await measure('Today', 110, state, (page) => page.goto(`${origin}/today`, { waitUntil: 'networkidle' }));
  await measure('visit, all steps and the worker', 260, state, async (page) => {
    await page.goto(`${origin}/today`);
    await openVisit(page);
    const address = page.url().split('#')[0];
    for (const step of ['feet', 'reason', 'candidates', 'try-on', 'hand-over'])
      await page.goto(`${address}#${step}`);
    await page.waitForTimeout(2000);
  });
}

/** A 12-megapixel print and a large scan through the real page: how long, and how long the page stood still. */
export async function examinationInTheBrowser(browser, origin) {
  const page = await visitPage(browser, origin);
  // Files on the disk, as a person chooses them: a buffer would be unpacked on the page by the driver.
  const files = mkdtempSync(join(tmpdir(), 'sovet-bench-'));
  const device = async (path, name) => {
    const answer = await page.request.get(`${origin}/api/v1/devices/${path}`);
    writeFileSync(join(files, name), await answer.body());
    return join(files, name);
  };
  const run = async (tab, button, file, ready) => {
    await page.goto(`${page.url().split('#')[0]}#feet`);
    await page.getByRole('tab', { name: tab, exact: true }).click();
    await page.getByRole('button', { name: button }).click();
    await page.evaluate(() => {
      window.still = 0;
      new PerformanceObserver((list) => {
        for (const entry of list.getEntries()) window.still = Math.max(window.still, entry.duration);
      }).observe({ type: 'longtask' });
    });
    const start = performance.now();
    await page.getByRole('dialog').getByLabel('From a file').setInputFiles(file);
    await page.getByRole('button', { name: ready }).waitFor({ timeout: 60_000 });
    const ms = performance.now() - start;
    const still = await page.evaluate(() => window.still);
    console.log(
      `${tab}, from file to readings on the page: ${ms.toFixed(0)} ms; longest the page stood still: ${still.toFixed(0)} ms (wanted ≤ 50)`,
    );
  };
  await run(
    'Footprint',
    'Take a print, left',
    await device('footprint-scanner?side=left&pixelsPerMm=14', 'print.png'),
    'Keep, left',
  );
  await run(
    'Scan',
    'Take a scan, left',
    await device('foot-scanner?side=left&rings=600', 'foot.stl'),
    'Keep all, left',
  );
  rmSync(files, { recursive: true, force: true });
}

/** Three pairs laid beside each other in the visit, and four in the catalogue: from the press to the table on the page. */
export async function comparisonInTheBrowser(browser, origin) {
  const page = await visitPage(browser, origin);
  await page.goto(`${page.url().split('#')[0]}#candidates`);
  await page.getByRole('button', { name: /^Propose/ }).click();
  await page.waitForTimeout(1000);
  const ms = await page.evaluate(async () => {
    const tab = [...document.querySelectorAll('[role=tab]')].find(
      (one) => one.textContent === 'Side by side',
    );
    const times = [];
    for (let round = 0; round < 9; round += 1) {
      const start = performance.now();
      tab.focus();
      while (!document.querySelector('table[aria-label^="Pairs to bring"]'))
        await new Promise((next) => requestAnimationFrame(next));
      times.push(performance.now() - start);
      document.querySelector('[role=tab]').focus();
      while (document.querySelector('table[aria-label^="Pairs to bring"]'))
        await new Promise((next) => requestAnimationFrame(next));
    }
    return times.sort((a, b) => a - b)[4];
  });
  console.log(
    `three pairs side by side, from the press to the page: median ${ms.toFixed(0)} ms (wanted ≤ 100)`,
  );
}
