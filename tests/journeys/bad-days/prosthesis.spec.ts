import { expect, test } from '@playwright/test';
import { newVisit, saved, signIn } from '../keyboard';

test('prosthesis: the shank leans and the socks add up', async ({ page }) => {
  await signIn(page);
  await newVisit(page, 'Shank');
  await page.getByRole('tab', { name: 'Prosthesis' }).click();
  await page.getByText('left', { exact: true }).click();
  await page.getByLabel('Foot set for heel rise').fill('9.5');
  await page.getByLabel('Prosthetic heel–ball length').fill('180');
  await page.getByLabel('Shoe’s heel rise').fill('20');
  await expect(page.getByText(/leans forward 3\.3°.*Not on this shoe: do not walk on it/)).toBeVisible();
  await page.getByLabel('Shoe’s heel rise').fill('0');
  await expect(page.getByText(/a wedge of 9\.5 mm/)).toBeVisible();
  await page.getByLabel('3-ply socks closed').fill('3');
  await page.getByLabel('Wanted ply').fill('9');
  await expect(page.getByText('3-ply + 3-ply + 3-ply makes 9 ply.')).toBeVisible();
  await saved(page);
});
