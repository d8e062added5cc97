import { expect, test } from '@playwright/test';
import { newVisit, saved, signIn } from '../keyboard';

test('a step whose code does not come says so; what was entered stands, and it opens once the network is back', async ({
  page,
}) => {
  await signIn(page);
  await page.route('**/_astro/Feet.*.js', (route) => route.abort());
  await newVisit(page, 'Missing');
  await page.getByLabel('Standing a day').fill('7');
  await saved(page);
  await page.getByRole('button', { name: /Feet/ }).first().click();
  await expect(page.getByRole('alert')).toContainText('This step could not be opened');
  // The other steps go on.
  await page.getByRole('button', { name: /Load/ }).first().click();
  await expect(page.getByRole('heading', { level: 1, name: 'Load' })).toBeVisible();
  await expect(page.getByRole('alert')).toHaveCount(0);
  await page.getByRole('button', { name: /Feet/ }).first().click();
  await page.unroute('**/_astro/Feet.*.js');
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('tab').first()).toBeVisible();
  await page.getByRole('button', { name: /Ask/ }).first().click();
  await expect(page.getByLabel('Standing a day')).toHaveValue('7');
});
