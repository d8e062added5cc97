import { expect, test } from '@playwright/test';
import { signIn } from '../keyboard';
import { openVisit } from './past-patients';

test('the board by keyboard: one key to the next mark, its sentence and source with it', async ({ page }) => {
  await signIn(page);
  await openVisit(page, 'Pell');
  const board = page.getByRole('table', { name: 'Findings against features' });
  await board.getByRole('button', { name: /^Closure: / }).focus();
  await page.keyboard.press('ArrowDown');
  const focused = page.locator('[data-place]:focus');
  await expect(focused).toHaveAccessibleName(/on closure: .*evidence/);
  const push = page.getByRole('region', { name: 'Push' });
  await expect(push).toContainText(/evidence [ABC]/);
  await expect(push).toContainText(/from memory|Common practice/);
  const first = await focused.getAttribute('data-place');
  await page.keyboard.press('ArrowDown');
  expect(await focused.getAttribute('data-place')).not.toBe(first);
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('ArrowUp');
  await expect(page.getByRole('region', { name: 'Target' })).toContainText('Depends on');
});
