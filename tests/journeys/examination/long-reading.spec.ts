import { expect, test } from '@playwright/test';
import { newVisit, signIn } from '../keyboard';
import { open, simulate } from './devices';

test('a long reading shows its progress and can be cancelled', async ({ page }) => {
  await signIn(page);
  await newVisit(page, 'Cancel');
  await open(page, 'move', 'Gait clip');
  await simulate(page, 'Load a clip', { frames: '120' });
  await expect(page.getByRole('progressbar')).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByText('Cancelled. Nothing in the visit has changed.')).toBeVisible();
});
