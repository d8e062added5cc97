import { expect, test } from '@playwright/test';
import { newVisit, saved, signIn } from '../keyboard';
import { open } from './devices';

test('a lost site outweighs “felt”, and no skin changes is an answer of its own', async ({ page }) => {
  await signIn(page);
  await newVisit(page, 'Sites');
  await open(page, 'feet', 'Sensation and pulses');
  await page.getByRole('group', { name: '10 g monofilament, left' }).getByText('felt at every site').click();
  await page.getByRole('group', { name: 'Foot pulses, left' }).getByText('present', { exact: true }).click();
  await expect(page.getByText('Category 0')).toBeVisible();
  await page.getByLabel('10 g filament, 5th head, left').fill('1');
  await expect(page.getByText('left: lost by its sites.')).toBeVisible();
  await expect(page.getByText('Category 1')).toBeVisible();
  await page.getByRole('tab', { name: 'Skin', exact: true }).click();
  await expect(page.getByText('skin changes, right: not asked')).toBeVisible();
  await page.getByRole('button', { name: 'No skin changes right' }).click();
  await expect(page.getByText('no skin changes, right')).toBeVisible();
  await saved(page);
  await page.getByRole('link', { name: 'Record' }).click();
  await expect(page.getByRole('row', { name: /^Skin right/ })).toContainText('none');
});
