import { expect, test } from '@playwright/test';
import { ready, signIn } from '../keyboard';
import { origin } from '../server';
import { examined } from './collecting';

test('the catalogue: filtered in any unit, laid side by side, more like this but softer', async ({
  page,
}) => {
  await signIn(page);
  await page.goto(`${origin()}/shoes`);
  await ready(page);
  const status = page.getByRole('status').first();
  /** How many are listed; while they are read or filtered the line says no number. */
  const count = async () => Number((await status.innerText()).match(/^\d+/)?.[0] ?? Number.NaN);
  // Until the catalogue has been read, that is what the line says.
  await expect(status).toHaveText(/^\d+/);
  const all = await count();
  await page.getByRole('combobox', { name: 'Feature' }).selectOption({ label: 'Heel-to-toe drop' });
  await page.getByLabel('is', { exact: true }).fill('1/8 in to 1/4 in');
  await page.getByRole('button', { name: 'Filter', exact: true }).click();
  await expect(page.getByRole('list', { name: 'Filters' })).toContainText(
    'Heel-to-toe drop 3.2 mm to 6.4 mm'.replace(/ mm/g, '\u2009mm'),
  );
  await expect.poll(count).toBeLessThan(all);
  await page.getByRole('combobox', { name: 'Feature' }).selectOption({ label: 'Bend point' });
  await page.getByLabel('is', { exact: true }).fill('eighty');
  await page.getByRole('button', { name: 'Filter', exact: true }).click();
  await expect(page.getByText('“eighty” is not a number.')).toBeVisible();
  await page.getByLabel('is', { exact: true }).fill('70-76');
  await page.getByRole('button', { name: 'Filter', exact: true }).click();
  await expect(status).toContainText('more may: a value that was asked for is not known');
  for (const at of [0, 1, 2])
    await page
      .getByRole('checkbox', { name: /^Compare / })
      .nth(at)
      .check();
  await page.getByRole('link', { name: 'Compare 3' }).click();
  await expect(page.getByRole('img', { name: /^Side profiles over each other/ })).toBeVisible();
  await expect(page.getByRole('table', { name: 'Models side by side' })).toBeVisible();

  const { visitId } = await examined(page, 'Softer');
  await page.goto(`${origin()}/visits/${visitId}#candidates`);
  await page.locator('select.more-like').first().selectOption({ label: 'softer' });
  await expect(page.getByRole('region', { name: 'More like this' })).toContainText('but softer');
});
