import { expect, test } from '@playwright/test';
import { saved, signIn } from '../keyboard';
import { patient } from './past-patients';

test('lifting and running are two pairs, each ranked for itself; what was brought for one waits while the other is looked at', async ({
  page,
}) => {
  await signIn(page);
  await patient(page, 'Loom');
  await page.getByRole('button', { name: 'Go on with the visit' }).click();
  await page.waitForURL(/visits\//);
  await page.goto(`${page.url().split('#')[0]}#candidates`);
  await page.reload();
  const ranked = page.getByRole('list', { name: 'Ranked candidates' });
  await expect(ranked.getByRole('listitem').first()).toContainText('%');
  const panel = page.getByRole('complementary', { name: 'Specification' });
  await expect(panel).toContainText('road running');
  const bring = ranked.getByRole('checkbox').first();
  await bring.check();
  await expect(page.getByText(/To bring: /)).toBeVisible();
  await page.getByText('lifting, upright trunk', { exact: true }).click();
  await expect(panel).toContainText('lifting');
  await expect(panel).not.toContainText('road running');
  // Nobody has measured how far the ankle bends: the heel waits for it, and the first question says so.
  await expect(page.getByText(/Heel-to-toe drop cannot be judged until “Lunge/).first()).toBeVisible();
  await expect(ranked.getByRole('checkbox', { checked: true })).toHaveCount(0);
  await page.getByText('road running', { exact: true }).first().click();
  await expect(ranked.getByRole('checkbox', { checked: true })).toHaveCount(1);
  await saved(page);
  await page.reload();
  await expect(ranked.getByRole('checkbox', { checked: true })).toHaveCount(1);
});

test('a prosthetic foot whose set rise nobody measured: nothing is proposed until it is known', async ({
  page,
}) => {
  await signIn(page);
  await patient(page, 'Farrow');
  await page.getByRole('button', { name: 'Go on with the visit' }).click();
  await page.waitForURL(/visits\//);
  const visit = page.url().split('#')[0]!;
  await page.goto(`${visit}#candidates`);
  await page.reload();
  const why = page.getByRole('region', { name: 'Why fewer than three' });
  await expect(why).toContainText(
    'Heel-to-toe drop cannot be judged until “Foot set for heel rise” is known.',
  );
  await expect(page.getByRole('list', { name: 'Three to learn from' })).toHaveCount(0);
  await page.goto(`${visit}#ask`);
  await page.reload();
  await page.getByRole('tab', { name: 'Prosthesis' }).click();
  await page.getByLabel('Foot set for heel rise').fill('9.5');
  await saved(page);
  await page.goto(`${visit}#candidates`);
  await page.reload();
  await expect(page.getByRole('list', { name: 'Three to learn from' })).toBeVisible();
});
