import { expect, test } from '@playwright/test';
import { signIn } from '../keyboard';
import { openTab } from '../reasoning/past-patients';
import { origin } from '../server';
import { fits, noViolations, openDemoVisit, readable, VISIT_STEPS } from './looking';

test('axe finds nothing on any screen, each fits 1280×800, and nothing that is read is under 12 px', async ({
  page,
}) => {
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
    'insights',
    'settings',
  ]) {
    await page.goto(`${origin()}/${path}`);
    if (few[path]) {
      await page.waitForLoadState('networkidle');
      await few[path]();
    }
    await clean(path);
    await fits(page, path);
    await readable(page, path);
  }
  await page.goto(`${origin()}/shoes`);
  await page.getByRole('link', { name: /^Sources, versions/ }).click();
  await clean('model');
  await fits(page, 'model');
  await readable(page, 'model');
  await page.getByRole('link', { name: 'Bench test' }).click();
  await island();
  await clean('bench test');
  await fits(page, 'bench test');
  await readable(page, 'bench test');
  await page.goto(`${origin()}/patients?q=Marne`);
  await page.getByRole('table').getByRole('link').first().click();
  await island();
  await clean('patient');
  await fits(page, 'patient');
  await readable(page, 'patient');
  const patient = page.url();
  await page.getByRole('link', { name: 'Inspect it' }).first().click();
  await page.getByRole('tab', { name: 'Inspect', exact: true }).waitFor();
  await clean('pair');
  for (const tab of ['Outcomes', 'Soles over time', 'Photographs', 'Inspections', 'Log']) {
    await page.getByRole('tab', { name: tab }).click();
    if (tab === 'Log') await page.locator('canvas').waitFor();
    await clean(`pair ${tab}`, '[role=tabpanel]');
    await fits(page, `pair ${tab}`);
    await readable(page, `pair ${tab}`);
  }
  await page.goto(patient);
  await page.getByRole('link', { name: 'Patient’s sheet' }).first().click();
  await clean('sheet');
  await readable(page, 'sheet');
  const sheet = page.url();
  for (const paper of ['label', 'employer', 'letter', 'job', 'rationale']) {
    await page.goto(sheet.replace(/sheet.*$/, paper));
    await clean(paper);
    if (paper === 'label')
      expect(
        await page
          .locator('.label > div')
          .evaluateAll((parts) => parts.filter((part) => part.scrollHeight > part.clientHeight).length),
        'labels on which a line is cut',
      ).toBe(0);
  }
  await page.getByRole('link', { name: 'Replay it' }).click();
  await clean('specification');
  await page.goto(`${origin()}/knowledge`);
  for (const tab of ['House rules', 'Vocabulary']) {
    await openTab(page, tab);
    await clean(`knowledge ${tab}`);
    await fits(page, `knowledge ${tab}`);
    await readable(page, `knowledge ${tab}`);
  }
  const visit = await openDemoVisit(page);
  for (const step of VISIT_STEPS) {
    await page.goto(`${visit}#${step}`);
    await expect(page.locator('#step-name')).toBeVisible();
    if (step === 'candidates') await page.getByRole('button', { name: /^Propose/ }).click();
    if (step === 'try-on') await page.getByRole('region', { name: /^Pair A/ }).waitFor();
    await clean(step);
    await readable(page, step);
    const tabs = await page.getByRole('tab').all();
    for (const tab of tabs.slice(1)) {
      await tab.click();
      const part = `${step} ${await tab.innerText()}`;
      await clean(part, '[role=tabpanel]');
      await readable(page, part, '[role=tabpanel]');
    }
    const tall = await page.evaluate(() => document.documentElement.scrollHeight - window.innerHeight);
    expect(tall, `${step} does not scroll the page`).toBeLessThanOrEqual(0);
    await fits(page, step);
  }
});

test('axe finds nothing on what a lead looks after, nor on the way in', async ({ page }) => {
  await page.goto(`${origin()}/join?token=none`);
  await noViolations(page, 'join', {});
  await signIn(page, 'lead');
  for (const path of ['people', 'outbox', 'audit', 'operations', 'texts', 'settings']) {
    await page.goto(`${origin()}/${path}`);
    await page.waitForLoadState('networkidle');
    await noViolations(page, path, {});
    await fits(page, path);
  }
});
