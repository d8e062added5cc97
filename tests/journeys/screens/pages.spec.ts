import { expect, test } from '@playwright/test';
import { ready, signIn } from '../keyboard';
import { openTab } from '../reasoning/past-patients';
import { origin } from '../server';
import { fits, holdsUp, inTheDark, noViolations } from './looking';

test('every page holds up: axe finds nothing, it fits 1280×800, nothing is under 12 px, nothing moves, by day and in the dark', async ({
  page,
}) => {
  await page.goto(`${origin()}/sign-in`);
  await noViolations(page, 'sign-in');
  await signIn(page);
  /** A few rows of a long list stand for all. */
  const few: Record<string, () => Promise<void>> = {
    knowledge: () => page.getByLabel(/^Search/).fill('heel cord'),
    shoes: () => page.getByLabel('Maker, name, version').fill('Tern'),
  };
  const dark = ['today', 'shoes/orders', 'shoes/supplier', 'settings'];
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
    await ready(page);
    await few[path]?.();
    await holdsUp(page, path);
    if (dark.includes(path)) await inTheDark(page, path);
  }
  await page.goto(`${origin()}/shoes`);
  await page.getByRole('link', { name: /^Sources, versions/ }).click();
  await page.waitForURL(/shoes\/[0-9a-f]/);
  await holdsUp(page, 'model');
  await page.getByRole('link', { name: 'Bench test' }).click();
  await page.waitForURL(/bench/);
  await ready(page);
  await holdsUp(page, 'bench test');
  await page.goto(`${origin()}/patients?q=Marne`);
  await page.getByRole('table').getByRole('link').first().click();
  await page.waitForURL(/patients\/[0-9a-f]/);
  await ready(page);
  await holdsUp(page, 'patient');
  await inTheDark(page, 'patient');
  const patient = page.url();
  await page.getByRole('link', { name: 'Inspect it' }).first().click();
  await page.getByRole('tab', { name: 'Inspect', exact: true }).waitFor();
  await holdsUp(page, 'pair');
  for (const tab of ['Outcomes', 'Soles over time', 'Photographs', 'Inspections', 'Log']) {
    await page.getByRole('tab', { name: tab }).click();
    if (tab === 'Log') await page.locator('canvas').waitFor();
    await holdsUp(page, `pair ${tab}`, '[role=tabpanel]');
  }
  await page.goto(patient);
  await page.getByRole('link', { name: 'Patient’s sheet' }).first().click();
  await page.waitForURL(/sheet/);
  await holdsUp(page, 'sheet');
  await inTheDark(page, 'sheet');
  const sheet = page.url();
  for (const paper of ['label', 'employer', 'letter', 'job', 'rationale']) {
    await page.goto(sheet.replace(/sheet.*$/, paper));
    await noViolations(page, paper);
    if (paper === 'label')
      expect(
        await page
          .locator('.label > div')
          .evaluateAll((parts) => parts.filter((part) => part.scrollHeight > part.clientHeight).length),
        'labels on which a line is cut',
      ).toBe(0);
  }
  await page.getByRole('link', { name: 'Replay it' }).click();
  await page.waitForURL(/specification/);
  await noViolations(page, 'specification');
  await page.goto(`${origin()}/knowledge`);
  for (const tab of ['House rules', 'Vocabulary']) {
    await openTab(page, tab);
    await holdsUp(page, `knowledge ${tab}`);
  }
});

test('what a lead looks after, and the way in, hold up too', async ({ page }) => {
  await page.goto(`${origin()}/join?token=none`);
  await noViolations(page, 'join');
  await signIn(page, 'lead');
  for (const path of ['people', 'outbox', 'audit', 'operations', 'texts', 'settings']) {
    await page.goto(`${origin()}/${path}`);
    await ready(page);
    await noViolations(page, path);
    await fits(page, path);
  }
});
