// How long a page takes over the heavy work, and how long it stands still meanwhile.
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { catalogueOf, SIGN_IN } from './server.mjs';

/** A browser of its own for each measurement; one that draws scans without a graphics card is slow at all else. */
export async function inBrowser(chromium, executablePath, measure, figure, origin, more = []) {
  const browser = await chromium.launch({
    executablePath,
    args: ['--no-sandbox', '--disable-background-networking', ...more],
  });
  await measure(figure, browser, origin);
  await browser.close();
}

export const SOFTWARE_GL = ['--use-gl=angle', '--use-angle=swiftshader', '--enable-unsafe-swiftshader'];

/** A page of its own with a visit of the demo open, signed in as a person does. */
async function visitPage(browser, origin) {
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await signInAt(page, origin);
  await openVisit(page);
  return page;
}

async function signInAt(page, origin) {
  await page.goto(`${origin}/sign-in`, { waitUntil: 'networkidle' });
  await page.getByLabel('E-mail').fill(SIGN_IN.email);
  await page.getByLabel('Password').fill(SIGN_IN.password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForURL(/today/);
}

async function openVisit(page) {
  // By the patient: of Today's open visits the latest come first, and another suite may have begun twenty.
  await page.goto(new URL('/patients?q=Pell', page.url()).href);
  await page.getByRole('link', { name: /Pell/ }).first().click();
  await page.waitForURL(/patients\/[0-9a-f-]{36}/);
  await page.locator('a[href*="/visits/"]').first().click();
  await page.locator('[data-visit]').waitFor();
}

/** A 12-megapixel print through the real page: how long, and how long the page stood still. */
export const printInTheBrowser = (figure, browser, origin) =>
  deviceInTheBrowser(figure, browser, origin, {
    tab: 'Footprint',
    button: 'Take a print, left',
    device: 'footprint-scanner?side=left&pixelsPerMm=14',
    name: 'print.png',
    ready: 'Keep, left',
  });

/** A large scan, the same. */
export const scanInTheBrowser = (figure, browser, origin) =>
  deviceInTheBrowser(figure, browser, origin, {
    tab: 'Scan',
    button: 'Take a scan, left',
    device: 'foot-scanner?side=left&rings=600',
    name: 'foot.stl',
    ready: 'Keep all, left',
  });

async function deviceInTheBrowser(figure, browser, origin, { tab, button, device, name, ready }) {
  const page = await visitPage(browser, origin);
  // A file on the disk, as a person chooses it: a buffer would be unpacked on the page by the driver.
  const files = mkdtempSync(join(tmpdir(), 'sovet-bench-'));
  const file = join(files, name);
  writeFileSync(file, await (await page.request.get(`${origin}/api/v1/devices/${device}`)).body());
  await page.goto(`${page.url().split('#')[0]}#feet`);
  await page.getByRole('tab', { name: tab, exact: true }).click();
  await page.getByRole('button', { name: button }).click();
  const chooser = await page.getByRole('dialog').getByLabel('From a file').elementHandle();
  let ms = 0;
  const still = await stillWhile(page, async () => {
    const start = performance.now();
    await chooser.setInputFiles(file);
    await page
      .locator(`css=button:text-is("${ready}"), button[aria-label="${ready}"]`)
      .waitFor({ timeout: 60_000 });
    ms = performance.now() - start;
  });
  figure({ what: `${tab}: from file to readings on the page`, value: ms, unit: 'ms' });
  figure({ what: `${tab}: longest the page stood still`, value: still, unit: 'ms', wanted: 50 });
  rmSync(files, { recursive: true, force: true });
}

/**
 * Longest time a page stood still while something was done to it, ms; none that is long counts as none. What the work looks for it
 * looks for by CSS: a search by roles reads the whole page, and would be measured as the page's own.
 */
async function stillWhile(page, work) {
  await page.evaluate(() => {
    window.still = 0;
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) window.still = Math.max(window.still, entry.duration);
    }).observe({ type: 'longtask' });
  });
  await work();
  // A long task is reported after it has ended; a picture may come after the readings.
  await page.waitForTimeout(1500);
  return page.evaluate(() => window.still);
}

/** The board, a large file of models, a clip: how long the page stood still. */
export async function longWorkInTheBrowser(figure, browser, origin) {
  const page = await visitPage(browser, origin);
  const visit = page.url().split('#')[0];
  const stillAt = (what, value) =>
    figure({ what: `${what}: longest the page stood still`, value, unit: 'ms', wanted: 50 });
  await page.goto(`${visit}#reason`);
  const tab = page.getByRole('tab', { name: 'Board' });
  await tab.waitFor();
  const board = await tab.elementHandle();
  stillAt(
    'Board of reasons',
    await stillWhile(page, async () => {
      await board.click();
      await page.locator('css=table.board').waitFor();
    }),
  );
  await page.goto(`${visit}#move`);
  await page.getByRole('tab', { name: 'Gait clip' }).click();
  await page.getByRole('button', { name: 'Load a clip' }).click();
  const take = await page
    .getByRole('dialog')
    .getByRole('button', { name: 'Take from the simulated device' })
    .elementHandle();
  stillAt(
    'Clip',
    await stillWhile(page, async () => {
      await take.click();
      await page.locator('css=[aria-label="Frame"]').waitFor({ timeout: 60_000 });
    }),
  );
  const lead = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await signInAt(lead, origin);
  await lead.goto(`${origin}/shoes/files`, { waitUntil: 'networkidle' });
  const chooser = await lead.getByLabel('Choose a file').elementHandle();
  const files = mkdtempSync(join(tmpdir(), 'sovet-bench-'));
  const file = join(files, 'models.csv');
  writeFileSync(file, catalogueOf('Looked', 20_000));
  stillAt(
    'Catalogue file of 20,000 models, looked through',
    await stillWhile(lead, async () => {
      await chooser.setInputFiles(file);
      await lead.locator('css=button:has-text("Import 20")').waitFor({ timeout: 60_000 });
    }),
  );
  rmSync(files, { recursive: true, force: true });
}

/** What the page holds after a visit was opened once, and after ten times more. */
export async function memoryInTheBrowser(figure, browser, origin) {
  const page = await visitPage(browser, origin);
  const visit = page.url();
  const client = await page.context().newCDPSession(page);
  const once = async () => {
    await page.goto(`${origin}/today`);
    await page.goto(visit, { waitUntil: 'networkidle' });
    await page.locator('[data-visit]').waitFor();
  };
  const held = async () => {
    await client.send('HeapProfiler.collectGarbage');
    const { usedSize } = await client.send('Runtime.getHeapUsage');
    return usedSize / 1e6;
  };
  await once();
  const before = await held();
  for (let round = 0; round < 10; round += 1) await once();
  figure({
    what: 'memory of the page after ten visits opened and closed',
    value: await held(),
    unit: 'MB',
    wanted: 1.1,
    ofFloor: true,
    floor: { what: 'after one', value: before },
  });
}

/** Three pairs laid beside each other in the visit, and four in the catalogue: from the press to the table on the page. */
export async function comparisonInTheBrowser(figure, browser, origin) {
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
  figure({
    what: 'three pairs side by side, from the press to the page, median',
    value: ms,
    unit: 'ms',
    wanted: 100,
  });
}
