import { expect, test } from '@playwright/test';
import { signIn } from '../keyboard';
import { openDemoVisit } from './looking';

test('a finding lights what it moved, and a target lights its reasons', async ({ page }) => {
  await signIn(page);
  const visit = await openDemoVisit(page);
  await page.goto(`${visit}#feet`);
  await page.getByRole('tab', { name: 'Form' }).click();
  await page.getByRole('button', { name: /Toe-box depth/ }).hover();
  await expect(page.locator('[data-finding="left.lesserToes"]')).toHaveClass(/lit/);
  await expect(page.locator('.shoe [data-lit]').first()).toBeVisible();
});
