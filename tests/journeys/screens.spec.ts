import AxeBuilder from '@axe-core/playwright';
import { expect, type Page, test } from '@playwright/test';
import { signIn } from './keyboard';
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

interface AxeViolation {
  id: string;
  nodes: { target: unknown[] }[];
}

/**
 * Only rules and parts that are named are looked at; all of the page without. There are no frames, so that the page
 * answers by itself; a part of a page that was looked at before asks the axe that is already there.
 */
async function noViolations(
  page: Page,
  where: string,
  only: { rules?: string[]; part?: string } = {},
): Promise<void> {
  const violations: AxeViolation[] = only.part
    ? await page.evaluate(async (part) => {
        const { axe } = window as unknown as {
          axe: { run: (part: string, options: object) => Promise<{ violations: AxeViolation[] }> };
        };
        return (await axe.run(part, { resultTypes: ['violations'] })).violations;
      }, only.part)
    : await wholePage(page, only.rules);
  const found = violations.map(
    (violation) =>
      `${violation.id}: ${violation.nodes.map((node) => node.target.map(String).join(' ')).join(', ')}`,
  );
  expect(found, where).toEqual([]);
}

async function wholePage(page: Page, rules: string[] | undefined): Promise<AxeViolation[]> {
  const axe = new AxeBuilder({ page }).setLegacyMode(true).options({ resultTypes: ['violations'] });
  return (await (rules ? axe.withRules(rules) : axe).analyze()).violations;
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

test('axe finds nothing on any screen, and each fits 1280×800', async ({ page }) => {
  test.setTimeout(300_000);
  const clean = (where: string, part?: string) => noViolations(page, where, part ? { part } : {});
  const island = () => page.locator('astro-island:not([ssr])').first().waitFor({ state: 'attached' });
  await page.goto(`${origin()}/sign-in`);
  await clean('sign-in');
  await signIn(page);
  /** A few rows of a long list stand for all. */
  const few: Record<string, () => Promise<void>> = {
    knowledge: () => page.getByLabel(/^Search/).fill('heel cord'),
    shoes: () => page.getByLabel('Maker, name, version').fill('Tern'),
  };
  for (const path of [
    'today',
    'patients?q=Pe',
    'patients/new',
    'shoes',
    'shoes/orders',
    'shoes/supplier',
    'shoes/files',
    'knowledge',
    'settings',
  ]) {
    await page.goto(`${origin()}/${path}`);
    if (few[path]) {
      await page.waitForLoadState('networkidle');
      await few[path]();
    }
    await clean(path);
    await fits(page, path);
  }
  await page.goto(`${origin()}/shoes`);
  await page.getByRole('link', { name: /^Sources, versions/ }).click();
  await clean('model');
  await fits(page, 'model');
  await page.getByRole('link', { name: 'Bench test' }).click();
  await island();
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
    if (step === 'candidates') await page.getByRole('button', { name: /^Propose/ }).click();
    if (step === 'try-on') await page.getByRole('region', { name: /^Pair A/ }).waitFor();
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

test('in the dark only colours differ, and they keep their contrast', async ({ page }) => {
  test.setTimeout(120_000);
  await page.emulateMedia({ colorScheme: 'dark' });
  const clean = (where: string) => noViolations(page, where, { rules: ['color-contrast'] });
  await signIn(page);
  for (const path of ['today', 'shoes/orders', 'shoes/supplier', 'settings']) {
    await page.goto(`${origin()}/${path}`);
    await clean(path);
  }
  await page.goto(`${origin()}/patients?q=Marne`);
  await page.getByRole('table').getByRole('link').first().click();
  await clean('patient');
  await page.getByRole('link', { name: 'Patient’s sheet' }).first().click();
  await clean('sheet');
  const visit = await openDemoVisit(page);
  for (const step of ['feet', 'reason', 'candidates', 'try-on', 'warnings']) {
    await page.goto(`${visit}#${step}`);
    await expect(page.locator('#step-name')).toBeVisible();
    await clean(step);
  }
});

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
