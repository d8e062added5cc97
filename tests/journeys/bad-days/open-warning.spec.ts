import { expect, test } from '@playwright/test';
import { newVisit, signIn } from '../keyboard';

test('an open warning sign blocks the hand-over until it is answered in full', async ({ page }) => {
  await signIn(page);
  await newVisit(page, 'Warned');
  await page.goto(`${page.url()}#warnings`);
  await page.getByLabel(/I have checked for all of these/).check();
  await page.getByRole('checkbox', { name: /Open wound/ }).check();
  await page.goto(`${page.url().split('#')[0]}#hand-over`);
  await expect(page.getByRole('region', { name: 'Before the hand-over' })).toContainText(
    'record what was done',
  );
  await page.goto(`${page.url().split('#')[0]}#warnings`);
  await page.getByText('Referred', { exact: true }).click();
  await page.getByLabel('To whom').fill('wound clinic');
  await page.getByLabel('On which day').fill('2030-01-02');
  await page.getByLabel(/^How/).fill('telephone, letter follows');
  await page.goto(`${page.url().split('#')[0]}#hand-over`);
  await expect(page.getByRole('region', { name: 'Before the hand-over' })).not.toContainText('Open wound');
  await expect(page.getByRole('region', { name: 'Before the hand-over' })).toContainText('No tried pair');
});
