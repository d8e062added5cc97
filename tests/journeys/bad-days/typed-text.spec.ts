import { expect, test } from '@playwright/test';
import { newVisit, saved, signIn } from '../keyboard';

test('what is typed and cannot be a value yet survives a reload', async ({ page }) => {
  await signIn(page);
  await newVisit(page, 'Halfway');
  await page.goto(`${page.url()}#feet`);
  await page.getByLabel('Ball width, right').fill('ten and a bit');
  await page.getByLabel('Ball width, left').fill('98');
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Ball width, right')).toHaveValue('ten and a bit');
  await expect(page.getByLabel('Ball width, left')).toHaveValue('98');
  await expect(page.getByText(/“ten and a bit” is not a number/)).toBeVisible();
});
