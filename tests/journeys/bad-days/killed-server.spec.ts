import { expect, test } from '@playwright/test';
import { newVisit, saved, signIn } from '../keyboard';
import { killServer, origin, startServer } from '../server';

test('a killed server and a reload in between lose nothing that was typed', async ({ page }) => {
  await signIn(page);
  const { visitId } = await newVisit(page, 'Outage');
  await page.getByLabel('Body mass').fill('77');
  await saved(page);
  await killServer();
  await page.getByLabel('Body mass').fill('78');
  await page.getByRole('checkbox', { name: 'trail', exact: true }).check({ force: true });
  await expect(page.getByText('No connection. Kept in this browser')).toBeVisible();
  // The page is left while the server is away: a page that stays would send what it keeps as soon as it can.
  await page.goto('about:blank');
  await startServer();
  await page.goto(`${origin()}/visits/${visitId}`);
  await page.locator('[data-visit]').waitFor();
  await expect(page.getByText('Restored from this browser: Ask')).toBeVisible();
  await expect(page.getByLabel('Body mass')).toHaveValue('78');
  await saved(page);
  const record = await (await page.request.get(`${origin()}/api/v1/visits/${visitId}`)).json();
  expect(record.steps[0].content.findings.body).toMatchObject({ bodyMass: 78, activities: ['trail'] });
});
