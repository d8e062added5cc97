import { expect, test } from '@playwright/test';
import { newVisit, saved, signIn } from '../keyboard';
import { enter } from '../reasoning/past-patients';
import { origin } from '../server';

test('a warm foot that does not feel holds the pair until somebody has cleared it', async ({ page }) => {
  await signIn(page);
  const { visitId } = await newVisit(page, 'Warm');
  await enter(page, visitId, 'feet', { left: { sensation: 'lost', skinWarmth: 'warm' } });
  await page.goto(`${origin()}/visits/${visitId}#warnings`);
  await page.reload();
  const sign = page.getByRole('listitem').filter({ hasText: 'Hot, red, swollen foot' });
  await expect(sign).toContainText('Left: a foot that may not feel is warmer');
  await page.getByLabel(/I have checked for all of these/).check();
  await sign.getByRole('checkbox').check();
  await sign.getByText('Referred', { exact: true }).click();
  await sign.getByLabel('To whom').fill('foot protection team');
  await sign.getByLabel('On which day').fill('2030-01-02');
  await sign.getByLabel(/^How/).fill('telephone, went along');
  const verdict = page.getByRole('status').filter({ hasText: /same day|Nothing here blocks/ });
  await expect(verdict).toContainText('No pair goes out until somebody records who cleared it');
  await saved(page);
  await page.goto(`${origin()}/visits/${visitId}#hand-over`);
  await expect(page.getByRole('region', { name: 'Before the hand-over' })).toContainText(
    'Hot, red, swollen foot',
  );
  await page.goto(`${origin()}/visits/${visitId}#warnings`);
  await sign.getByLabel('Cleared by').fill('Dr Example, foot clinic');
  await sign.getByLabel('Cleared on').fill('2030-01-09');
  await expect(verdict).toHaveText('Nothing here blocks the hand-over.');
});
