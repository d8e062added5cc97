import { expect, test } from '@playwright/test';
import { newVisit, saved, signIn } from '../keyboard';
import { origin } from '../server';

test('leaving the page in the middle of a save is no second version', async ({ page }) => {
  await signIn(page);
  const { visitId } = await newVisit(page, 'Hasty');
  for (const mass of ['61', '62', '63']) {
    await page.getByLabel('Body mass').fill(mass);
    await page.reload();
    await page.locator('[data-visit]').waitFor();
    await expect(page.getByLabel('Body mass')).toHaveValue(mass);
    await expect(page.getByRole('alert', { name: 'Two versions' })).toHaveCount(0);
  }
  await saved(page);
  const record = await (await page.request.get(`${origin()}/api/v1/visits/${visitId}`)).json();
  expect(record.steps[0].content.findings.body.bodyMass).toBe(63);
});
