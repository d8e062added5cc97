import AxeBuilder from '@axe-core/playwright';
import { expect, type Page, test } from '@playwright/test';
import { signIn } from './hands';
import { origin } from './server';

const VISIT_STEPS = [
  'ask',
  'old-pair',
  'feet',
  'load',
  'move',
  'reason',
  'candidates',
  'try-on',
  'hand-over',
  'warnings',
];

/** Only rules and parts that are named are looked at; all of the page without. */
async function noViolations(
  page: Page,
  where: string,
  only: { rules?: string[]; part?: string } = {},
): Promise<void> {
  let axe = new AxeBuilder({ page }).options({ resultTypes: ['violations'] });
  if (only.rules) axe = axe.withRules(only.rules);
  if (only.part) axe = axe.include(only.part);
  const { violations } = await axe.analyze();
  const found = violations.map(
    (violation) => `${violation.id}: ${violation.nodes.map((node) => node.target.join(' ')).join(', ')}`,
  );
  expect(found, where).toEqual([]);
}

const fits = (page: Page, where: string): Promise<void> =>
  expect
    .poll(
      () => page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth),
      { message: `${where} is no wider than the window` },
    )
    .toBeLessThanOrEqual(0);

async function openDemoVisit(page: Page): Promise<string> {
  await page.goto(`${origin()}/today`);
  await page
    .getByRole('link', { name: /Odran Pell/ })
    .first()
    .click();
  await page.locator('[data-visit]').waitFor();
  return page.url().split('#')[0]!;
}

for (const colorScheme of ['light', 'dark'] as const) {
  test(`axe finds nothing on any screen, and each fits 1280×800 (${colorScheme})`, async ({ page }) => {
    test.setTimeout(180_000);
    await page.emulateMedia({ colorScheme });
    // In dark mode only colours differ: structure and names are looked at in light.
    const rules = colorScheme === 'dark' ? { rules: ['color-contrast'] } : {};
    const clean = (where: string, part?: string) =>
      noViolations(page, where, part ? { ...rules, part } : rules);
    await page.goto(`${origin()}/sign-in`);
    await clean('sign-in');
    await signIn(page);
    for (const path of [
      'today',
      'patients',
      'patients/new',
      'shoes',
      'shoes/orders',
      'shoes/supplier',
      'shoes/files',
      'knowledge',
      'settings',
    ]) {
      await page.goto(`${origin()}/${path}`);
      // A few of the 240 rules stand for all.
      if (path === 'knowledge') {
        await page.waitForLoadState('networkidle');
        await page.getByLabel(/^Search/).fill('heel cord');
      }
      await clean(path);
      await fits(page, path);
    }
    await page.goto(`${origin()}/shoes`);
    await page.getByRole('link', { name: /^Sources, versions/ }).click();
    await clean('model');
    await fits(page, 'model');
    await page.getByRole('link', { name: 'Bench test' }).click();
    await page.locator('astro-island:not([ssr])').first().waitFor({ state: 'attached' });
    await clean('bench test');
    await fits(page, 'bench test');
    await page.goto(`${origin()}/patients?q=Marne`);
    await page.getByRole('table').getByRole('link').first().click();
    await page
      .getByRole('button', { name: /Use and comfort/ })
      .first()
      .click();
    await page.locator('canvas').waitFor();
    await clean('patient');
    await fits(page, 'patient');
    await page.getByRole('link', { name: 'Patient’s sheet' }).first().click();
    await clean('sheet');
    await page.goto(page.url().replace(/sheet$/, 'rationale'));
    await clean('rationale');
    await page.getByRole('link', { name: 'Replay it' }).click();
    await clean('specification');
    await page.goto(`${origin()}/knowledge`);
    for (const tab of ['House rules', 'Vocabulary']) {
      await page.getByRole('tab', { name: tab }).click();
      await clean(`knowledge ${tab}`);
      await fits(page, `knowledge ${tab}`);
    }
    const visit = await openDemoVisit(page);
    for (const step of VISIT_STEPS) {
      await page.goto(`${visit}#${step}`);
      await expect(page.locator('#step-name')).toBeVisible();
      await clean(step);
      const tabs = await page.getByRole('tab').all();
      for (const tab of tabs.slice(1)) {
        await tab.click();
        await clean(`${step} ${await tab.innerText()}`, '[role=tabpanel]');
      }
      const tall = await page.evaluate(() => document.documentElement.scrollHeight - window.innerHeight);
      expect(tall, `${step} does not scroll the page`).toBeLessThanOrEqual(0);
      await fits(page, step);
    }
  });
}

test('examining steps fit the work area without scrolling', async ({ page }) => {
  await signIn(page);
  const visit = await openDemoVisit(page);
  for (const step of ['ask', 'old-pair', 'feet', 'load', 'move']) {
    await page.goto(`${visit}#${step}`);
    await page.locator('#step-name').waitFor();
    const tabs = await page.getByRole('tab').all();
    for (const tab of tabs.length > 0 ? tabs : [null]) {
      await tab?.click();
      const over = await page
        .getByRole('region', { name: /, work$/ })
        .evaluate((element) => element.scrollHeight - element.clientHeight);
      expect(over, `${step} ${(await tab?.innerText()) ?? ''}`).toBeLessThanOrEqual(1);
    }
  }
});

test('a finding lights what it moved, and a target lights its reasons', async ({ page }) => {
  await signIn(page);
  const visit = await openDemoVisit(page);
  await page.goto(`${visit}#feet`);
  await page.getByRole('tab', { name: 'Form' }).click();
  await page.getByRole('button', { name: /Toe-box depth/ }).hover();
  await expect(page.locator('[data-finding="left.lesserToes"]')).toHaveClass(/lit/);
  await expect(page.locator('.shoe [data-lit]').first()).toBeVisible();
});

test('a tablet of 1024×768 shows spine, work and specification', async ({ page }) => {
  await page.setViewportSize({ width: 1024, height: 768 });
  await signIn(page);
  await openDemoVisit(page);
  await expect(page.getByRole('complementary', { name: 'Specification' })).toBeInViewport();
  await fits(page, 'visit on a tablet');
  await page.goto(`${page.url().split('#')[0]}#reason`);
  await expect(page.getByRole('table', { name: 'Findings against features' })).toBeVisible();
  // The board may scroll in itself; what stands around it keeps inside the work area.
  const over = await page
    .getByRole('region', { name: /, work$/ })
    .evaluate((element) => element.scrollWidth - element.clientWidth);
  expect(over).toBeLessThanOrEqual(0);
});

test('no page speaks to the console of blocked scripts or failures', async ({ page }) => {
  const said: string[] = [];
  page.on('console', (message) => message.type() === 'error' && said.push(message.text()));
  page.on('pageerror', (error) => said.push(error.message));
  await signIn(page);
  const visit = await openDemoVisit(page);
  await page.goto(`${visit}#candidates`);
  await expect(page.getByText(/models stay within the limits/)).toBeVisible();
  for (const path of ['today', 'shoes', 'knowledge', 'settings']) await page.goto(`${origin()}/${path}`);
  expect(said).toEqual([]);
});
