import { expect, test } from '@playwright/test';
import { newVisit, saved, signIn } from '../keyboard';

test('a unit slip is refused at its field, with what was probably meant', async ({ page }) => {
  await signIn(page);
  await newVisit(page, 'Slip');
  await page.goto(`${page.url()}#feet`);
  const length = page.getByLabel('Foot length, heel to longest toe, left');
  await length.fill('26.5');
  await length.blur();
  await expect(page.getByText(/26\.5.mm cannot be right/)).toBeVisible();
  await expect(length).toHaveAttribute('aria-invalid', 'true');
  await expect(length).toHaveValue('26.5');
  await page.getByRole('button', { name: /Take 265/ }).click();
  await expect(length).toHaveValue('265');
  await saved(page);
});
