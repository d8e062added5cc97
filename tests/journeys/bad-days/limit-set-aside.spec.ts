import { expect, test } from '@playwright/test';
import { newVisit, saved, signIn } from '../keyboard';

test('a limit set aside needs a reason, stays in sight, and moves the shoe', async ({ page }) => {
  await signIn(page);
  await newVisit(page, 'Aside');
  await page.getByRole('checkbox', { name: 'court, outdoors' }).check({ force: true });
  await page.goto(`${page.url()}#reason`);
  await page
    .getByRole('button', { name: /^Outsole hardness: / })
    .first()
    .focus();
  await page.getByRole('button', { name: 'Set aside with a reason' }).click();
  await page.getByLabel(/Reason \(kept/).fill('plays on carpet');
  await page.getByRole('button', { name: 'Set aside', exact: true }).click();
  await expect(page.getByText('Set aside: plays on carpet')).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(page.getByRole('complementary', { name: 'Specification' })).not.toContainText(
    'Outsole hardness',
  );
});
