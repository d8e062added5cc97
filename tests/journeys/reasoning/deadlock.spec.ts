import { expect, test } from '@playwright/test';
import { saved, signIn } from '../keyboard';
import { openVisit, panel } from './past-patients';

test('a deadlock blocks, names both limits, and one set aside with a reason frees it', async ({ page }) => {
  await signIn(page);
  await openVisit(page, 'Dunne');
  const deadlock = page.getByRole('alert').filter({ hasText: 'Deadlock' });
  await expect(deadlock).toContainText('wet decks');
  await expect(deadlock).toContainText('swelling that comes and goes');
  await deadlock
    .getByRole('listitem')
    .filter({ hasText: 'zipped deck boots' })
    .last()
    .getByRole('button')
    .click();
  await deadlock
    .getByLabel('Reason (kept with the specification)')
    .fill('the company agreed to hook-and-loop');
  await deadlock.getByRole('button', { name: 'Set aside', exact: true }).click();
  await expect(deadlock).toBeHidden();
  await saved(page);
  await expect(panel(page).getByRole('button', { name: /Closure/ })).toContainText('hook-and-loop');
  // And taken back, for who comes after.
  await page
    .getByRole('button', { name: /^Closure: / })
    .first()
    .focus();
  await expect(page.getByText('Set aside: the company agreed to hook-and-loop')).toBeVisible();
  await page.getByRole('button', { name: 'Take back' }).first().click();
  await expect(page.getByRole('alert').filter({ hasText: 'Deadlock' })).toBeVisible();
  await saved(page);
});
