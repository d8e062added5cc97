import { expect, test } from '@playwright/test';
import { newVisit, signIn } from '../keyboard';

test('an open warning sign blocks the hand-over until it is answered with a note', async ({ page }) => {
  await signIn(page);
  await newVisit(page, 'Warned');
  await page.goto(`${page.url()}#warnings`);
  await page.getByLabel(/I have checked for all of these/).check();
  await page.getByRole('checkbox', { name: /Open wound/ }).check();
  await page.goto(`${page.url().split('#')[0]}#hand-over`);
  await expect(page.getByRole('region', { name: 'In the way' })).toContainText(
    'record what was done, with a note',
  );
  await page.goto(`${page.url().split('#')[0]}#warnings`);
  await page.getByText('Referred', { exact: true }).click();
  await page.getByLabel('Note (needed)').fill('wound clinic this afternoon');
  await page.goto(`${page.url().split('#')[0]}#hand-over`);
  await expect(page.getByRole('region', { name: 'In the way' })).not.toContainText('Open wound');
  await expect(page.getByRole('region', { name: 'In the way' })).toContainText('No tried pair');
});
