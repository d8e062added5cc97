import { expect, test } from '@playwright/test';
import { executablePath, SOFTWARE_3D } from '../browser';
import { newVisit, saved, signIn } from '../keyboard';
import { open } from './devices';

test.use({ launchOptions: { executablePath, args: SOFTWARE_3D } });
test('how much and when: minutes, distance and events are kept', async ({ page }) => {
  await signIn(page);
  await newVisit(page, 'Amounts');
  await open(page, 'ask', 'What for');
  await page.getByRole('checkbox', { name: 'road running' }).check({ force: true });
  await page.getByRole('tab', { name: 'How much, and when' }).click();
  await page.getByLabel('road running, minutes a week').fill('150');
  await page.getByLabel('road running, kilometres a week').fill('12 mi');
  await expect(page.getByText('19.3 km a week together.')).toBeVisible();
  await page.getByLabel('road running, minutes a week').fill('20000');
  await expect(page.getByLabel('road running, minutes a week')).toHaveAttribute('aria-invalid', 'true');
  await page.getByRole('button', { name: 'Add an event' }).click();
  await page.getByLabel('Event 1', { exact: true }).fill('Island relay');
  await page.getByLabel('Day of event 1').fill('2031-05-04');
  await saved(page);
  await page.reload();
  await open(page, 'ask', 'How much, and when');
  await expect(page.getByLabel('road running, minutes a week')).toHaveValue('150');
  await expect(page.getByLabel('Event 1', { exact: true })).toHaveValue('Island relay');
  await expect(page.getByLabel('Day of event 1')).toHaveValue('2031-05-04');
});
