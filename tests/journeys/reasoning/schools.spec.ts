import { expect, test } from '@playwright/test';
import { newVisit, saved, signIn } from '../keyboard';
import { origin } from '../server';
import { enter, panel } from './past-patients';

test('schools side by side, a patient’s own, and what each would do differently', async ({ page }) => {
  await signIn(page);
  const { visitId } = await newVisit(page, 'Schools');
  const foot = { arch: 'low', archMobility: 'flexible' };
  await enter(page, visitId, 'ask', { left: { pain: [] }, right: { pain: [] } });
  await enter(page, visitId, 'feet', { left: foot, right: foot });
  await enter(page, visitId, 'move', { left: { roll: 'in' }, right: { roll: 'in' } });
  await page.goto(`${origin()}/visits/${visitId}#reason`);
  await page.reload();
  await page.getByRole('tab', { name: 'Schools' }).click();
  const row = page.getByRole('row', { name: /Medial support/ });
  await expect(row).toContainText('guide rail');
  await expect(row.locator('.alone').first()).toBeVisible();
  await page
    .getByRole('columnheader', { name: /Shape-led/ })
    .getByRole('button', { name: 'Use' })
    .click();
  await expect(panel(page).getByRole('button', { name: /Medial support/ })).toContainText('rail');
  await page.getByRole('button', { name: 'Keep Shape-led as this patient’s own' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Kept with the patient' })).toBeVisible();
  await saved(page);
  const record = await (await page.request.get(`${origin()}/api/v1/visits/${visitId}`)).json();
  expect(record.patient.school).toBe('shape');
});
