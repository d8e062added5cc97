import { expect, test } from '@playwright/test';
import { ready, signIn } from '../keyboard';
import { origin } from '../server';

test('a new version from the supplier is flagged on who wears its forerunner', async ({ page }) => {
  await signIn(page);
  await page.goto(`${origin()}/shoes/supplier`);
  await ready(page);
  const worn = page
    .getByRole('row')
    .filter({ hasText: 'New version' })
    .filter({ has: page.locator('td.figure:not(:empty)') });
  const any = page.getByRole('row').filter({ hasText: 'New version' });
  const row = (await worn.count()) > 0 ? worn.first() : any.first();
  const title = await row.getByRole('rowheader').innerText();
  const wearers = await row.locator('td.figure').innerText();
  await row.getByRole('button', { name: /^Take over/ }).click();
  await expect(page.getByRole('rowheader', { name: title, exact: true })).toHaveCount(0);
  await page.goto(`${origin()}/shoes`);
  await ready(page);
  await page.getByLabel('Maker, name, version').fill(title.replace(/ \d+$/, ''));
  const next = title.replace(/\d+$/, (version) => String(Number(version) + 1));
  await page.getByRole('button', { name: next, exact: true }).click();
  await page.getByRole('link', { name: /^Sources, versions/ }).click();
  await expect(page.getByRole('heading', { level: 1, name: next })).toBeVisible();
  const people = page.getByRole('region', { name: 'Worn by' });
  if (wearers.trim() !== '') {
    await expect(people).toContainText('a later version has taken its place');
    await people.getByRole('link').first().click();
    await expect(page.getByText('has taken its place: another shoe.').first()).toBeVisible();
  } else await expect(page.getByRole('region', { name: 'Versions' })).toContainText('no longer made');
});
