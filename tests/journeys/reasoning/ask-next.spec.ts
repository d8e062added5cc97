import { expect, test } from '@playwright/test';
import { saved, signIn } from '../keyboard';
import { openVisit } from './past-patients';

test('ask next ranks with times and leads to the step; a what-if is pinned and survives a reload', async ({
  page,
}) => {
  await signIn(page);
  await openVisit(page, 'Pell');
  await expect(page.getByRole('region', { name: 'Worth finding out next' })).toContainText(
    '10 g monofilament, 2 min',
  );
  await page.getByRole('tab', { name: 'Ask next' }).click();
  const first = page.getByRole('row').nth(1);
  await expect(first).toContainText('10 g monofilament');
  await expect(first).toContainText('2 min');
  await page.getByRole('tab', { name: 'What if' }).click();
  await page.getByRole('slider', { name: /^Step rate/ }).fill('10');
  await expect(
    page.getByRole('img', { name: /This what-if: .*knee down, about −34 to −14 %/ }),
  ).toBeVisible();
  await expect(page.getByText(/Direction, not dose/)).toBeVisible();
  await page.getByRole('button', { name: 'Pin this' }).click();
  await saved(page);
  await page.reload();
  await page.getByRole('tab', { name: 'What if' }).click();
  await expect(page.getByRole('region', { name: 'Pinned what-if' })).toContainText('+10 %');
  await page.getByRole('button', { name: 'Unpin' }).click();
  await expect(page.getByRole('region', { name: 'Pinned what-if' })).toBeHidden();
  await saved(page);
});
