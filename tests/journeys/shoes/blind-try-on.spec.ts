import { expect, test } from '@playwright/test';
import { signIn } from '../keyboard';
import { origin } from '../server';
import { examined } from './collecting';

test('blind labels hide makers; what was felt says which way to go; nothing fits ends in an order or a referral', async ({
  page,
}) => {
  await signIn(page);
  const { visitId } = await examined(page, 'Blind');
  await page.goto(`${origin()}/visits/${visitId}#candidates`);
  await page.getByRole('button', { name: /^Propose these/ }).click();
  const brought = (await page.getByText(/^To bring: /).innerText()).replace('To bring: ', '').split('; ');
  await page.getByRole('button', { name: 'Done, on to Try-on' }).click();
  await page.getByLabel('hide makers and models').check();
  const work = page.getByRole('region', { name: 'Try-on, work' });
  await expect(work.getByRole('heading', { name: 'Pair A', exact: true })).toBeVisible();
  for (const title of brought) await expect(work).not.toContainText(title);
  for (const [letter, comfort] of [
    ['A', '60'],
    ['B', '80'],
    ['C', '40'],
  ])
    await work
      .getByRole('region', { name: `Pair ${letter}`, exact: true })
      .getByLabel('Comfort, 0–100')
      .fill(comfort!);
  const stands = page.getByRole('region', { name: 'Where the fitting stands' });
  await expect(stands).toContainText('Next best guess: another pair');
  await page.getByLabel('hide makers and models').uncheck();
  await expect(stands).not.toContainText('another pair');
  await page.getByRole('tab', { name: 'Comfort', exact: true }).click();
  await page.getByRole('checkbox', { name: 'too firm' }).check();
  await expect(stands).toContainText('What was felt points to');
  await page.getByRole('tab', { name: 'Places' }).click();
  await page.getByRole('checkbox', { name: 'fifth toe, left' }).press('Enter');
  await expect(page.getByRole('list', { name: 'Marked places' })).toContainText('fifth toe: presses');
  for (const letter of ['A', 'B', 'C'])
    await work
      .getByRole('region', { name: new RegExp(`^Pair ${letter}`) })
      .getByText('rejected')
      .click();
  await expect(stands).toContainText('None of these fits');
  await expect(stands).toContainText(/On the shelf, untried|To order|orthopaedic shoemaker/);
});
