import { expect, test } from '@playwright/test';
import { choose, press, signIn, tabTo, typeInto } from '../keyboard';
import { patient } from '../reasoning/past-patients';
import { origin } from '../server';

test('outcomes by keyboard: held against the first, worse offers the next step, open skin stands in Today; what became of all pairs', async ({
  page,
}) => {
  await signIn(page);
  await patient(page, 'Achterberg');
  await page.getByRole('link', { name: 'Inspect it' }).first().click();
  await page.waitForURL(/pairs\/[0-9a-f]/);
  const pair = page.url();
  await page.getByRole('tab', { name: 'Outcomes' }).click();
  await expect(page.getByRole('img', { name: /^Comfort: \d+ then, \d+ now/ })).toBeVisible();
  await typeInto(page, 'Comfort, 0–100', '20');
  await typeInto(page, 'Activity 1, 0–10', '1');
  await choose(page, 'Mark with', 4);
  await press(page, page.getByRole('button', { name: 'left: ball' }));
  await tabTo(page, page.getByRole('button', { name: 'Keep the measures' }));
  await page.keyboard.press('Enter');
  await expect(page.getByRole('img', { name: /^Comfort: \d+ then, 20 now, worse/ })).toBeVisible();
  await expect(page.getByRole('alert')).toContainText('Open skin: stop wearing it');
  await expect(
    page.getByRole('region', { name: 'What comes next' }).getByRole('listitem').first(),
  ).toHaveText('Refer');
  await page.goto(`${origin()}/today`);
  await expect(page.getByRole('heading', { name: /Open skin or a fall/ })).toBeVisible();
  // A set of the same day puts the first right.
  await page.goto(pair);
  await page.getByRole('tab', { name: 'Outcomes' }).click();
  await typeInto(page, 'Comfort, 0–100', '80');
  await page.getByRole('button', { name: 'Keep the measures' }).click();
  await expect(page.getByRole('img', { name: /^Comfort: \d+ then, 80 now/ })).toBeVisible();
  await page.goto(`${origin()}/today`);
  await expect(page.getByRole('heading', { name: /Open skin or a fall/ })).toHaveCount(0);

  await page.goto(`${origin()}/knowledge`);
  await page.getByRole('link', { name: 'What became of the clinic’s own pairs' }).click();
  await expect(page.locator('canvas')).toBeVisible();
  await expect(page.getByRole('table')).toContainText(/n = \d+/);
  await expect(page.getByText(/^Observational/)).toBeVisible();
  await page.locator('select[name=by]').selectOption('model');
  await page.locator('select[name=by]').selectOption('decision');
  await page.getByRole('button', { name: 'Show' }).click();
  await expect(page.getByRole('table')).toContainText('as the rules said');
  await page.locator('select[name=by]').selectOption('feature');
  await page.getByRole('button', { name: 'Show' }).click();
  await expect(page.getByRole('table')).toContainText(/up to|over/);
  await page.getByLabel('Smallest group shown, people').fill('900');
  await page.getByRole('button', { name: 'Show' }).click();
  await expect(page.getByText(/No group has 900 people yet/)).toBeVisible();
});
