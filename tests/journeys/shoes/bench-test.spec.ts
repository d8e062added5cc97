import { expect, test } from '@playwright/test';
import { ready, signIn } from '../keyboard';
import { origin } from '../server';

test('a bench test in ten steps fills what was not known and shows where the maker disagrees', async ({
  page,
}) => {
  await signIn(page);
  await page.goto(`${origin()}/shoes`);
  await ready(page);
  await page.getByRole('link', { name: /^Sources, versions/ }).click();
  await page.getByRole('link', { name: 'Bench test' }).click();
  await ready(page);
  await page.getByLabel('Sole, heel to tip').fill('300');
  await page.getByLabel('Heel to the fold').fill('165');
  await expect(page.getByRole('complementary', { name: 'What the tests say' })).toContainText('too far back');
  for (let step = 1; step < 10; step += 1) await page.getByRole('button', { name: 'Next test' }).click();
  await page.getByLabel('Heel stack').fill('52');
  await page.getByLabel('Forefoot stack').fill('30');
  const changes = page.getByRole('region', { name: 'What this changes' });
  await expect(changes).toContainText('maker says');
  await page.getByRole('button', { name: /^Keep \d+ values/ }).click();
  await page.waitForURL(/shoes\/[0-9a-f-]{36}$/);
  await expect(page.getByRole('row', { name: /^Heel stack/ })).toContainText('bench test');
  await expect(page.getByRole('row', { name: /^Heel stack/ })).toContainText('maker');
  await expect(page.getByText(/^\d+ [A-Z][a-z]{2} \d{4} Bench test:/)).toBeVisible();
});
