import { expect, test } from '@playwright/test';
import { newVisit, saved, signIn } from '../keyboard';
import { open } from './devices';

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
  // An event near by says what may still be changed; moved away it says less and the build-up is gone.
  const ahead = (days: number) => new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10);
  await page.getByLabel('Length of event 1').fill('21.1');
  await page.getByLabel('Day of event 1').fill(ahead(9));
  await expect(page.getByText(/Island relay: \d+ days\. Too late for anything new/)).toBeVisible();
  await page.getByLabel('Day of event 1').fill(ahead(40));
  await expect(page.getByText(/Island relay: \d+ days\. A new pair like the one they know/)).toBeVisible();
  await page.getByRole('tab', { name: 'What for' }).click();
  await expect(page.getByText(/19\.3 km a week, a build-up to a long event/)).toBeVisible();
  await page.getByLabel('Distance a week', { exact: true }).fill('25');
  await expect(page.getByText(/From “How much, and when”: a build-up to a long event/)).toBeVisible();
  await page.getByRole('tab', { name: 'How much, and when' }).click();
  await page.getByLabel('Day of event 1').fill('2031-05-04');
  await expect(page.getByText(/Island relay: /)).toBeHidden();
  await saved(page);
  await page.reload();
  await open(page, 'ask', 'How much, and when');
  await expect(page.getByLabel('road running, minutes a week')).toHaveValue('150');
  await expect(page.getByLabel('Event 1', { exact: true })).toHaveValue('Island relay');
  await expect(page.getByLabel('Day of event 1')).toHaveValue('4 May 2031');
});
