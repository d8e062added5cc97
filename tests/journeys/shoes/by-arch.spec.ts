import { expect, test } from '@playwright/test';
import { open } from '../examination/devices';
import { newVisit, saved, signIn } from '../keyboard';

test('a long arch is sized by toes and by ball: both are named, and the fold is said in millimetres', async ({
  page,
}) => {
  await signIn(page);
  await newVisit(page, 'Longarch');
  await open(page, 'ask', 'What for');
  await page.getByRole('checkbox', { name: 'walking' }).check({ force: true });
  await open(page, 'feet', 'Measure');
  for (const side of ['left', 'right']) {
    await page.getByLabel(`Foot length, heel to longest toe, ${side}`, { exact: true }).fill('262');
    await page.getByLabel(`Heel–ball length, ${side}`, { exact: true }).fill('201');
  }
  await saved(page);
  await open(page, 'candidates', 'Ranked');
  await page
    .getByRole('button', { name: /^All reasons/ })
    .first()
    .click();
  await expect(page.getByText(/Toes 4\d(\.5)?, arch 4\d(\.5)?;/).first()).toBeVisible();
  await expect(
    page.getByText(/folds \d+ mm (behind|in front of) the ball|folds under the ball/).first(),
  ).toBeVisible();
  await page.getByRole('tab', { name: /Sizes/ }).click();
  await expect(page.getByRole('row', { name: /thumb’s width/ })).toContainText('18–20 mm');
});
