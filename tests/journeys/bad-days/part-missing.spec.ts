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

test('a visit whose scripts do not come shows whose it is and how far it came, and offers to load again', async ({
  page,
}) => {
  await signIn(page);
  await newVisit(page, 'Unscripted');
  await page.getByLabel('Standing a day').fill('7');
  await saved(page);
  await page.route('**/_astro/*.js', (route) => route.abort());
  await page.reload();
  await expect(page.getByRole('heading', { level: 1, name: 'Opening the visit' })).toBeVisible();
  await expect(page.getByRole('main')).toContainText('Test Unscripted');
  await expect(page.getByRole('listitem').filter({ hasText: 'Ask' })).toContainText('in progress');
  const again = page.getByRole('link', { name: 'Load it again' });
  await expect(again).toBeHidden();
  await expect(again).toBeVisible();
  await page.unroute('**/_astro/*.js');
  await again.click();
  await expect(page.getByLabel('Standing a day')).toHaveValue('7');
});

test('where the rules do not come the fields go on and are saved, and a shortcut whose part is missing takes nothing with it', async ({
  page,
}) => {
  await signIn(page);
  await page.route(/_astro\/(prescriber|JumpTo)\..*\.js$/, (route) => route.abort());
  await newVisit(page, 'Ruleless');
  const panel = page.getByRole('complementary', { name: 'Specification' });
  await expect(panel.getByRole('alert')).toContainText('The specification could not be opened');
  await page.getByLabel('Standing a day').fill('9');
  await saved(page);
  await page.getByRole('heading', { level: 1 }).focus();
  await page.keyboard.press('/');
  await expect(page.getByLabel('Standing a day')).toHaveValue('9');
  await page.unroute(/_astro\/(prescriber|JumpTo)\..*\.js$/);
  await panel.getByRole('button', { name: 'Try again' }).click();
  await expect(panel).toContainText('targets');
  await expect(page.getByLabel('Standing a day')).toHaveValue('9');
});
