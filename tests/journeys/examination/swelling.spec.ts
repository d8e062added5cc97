import { expect, test } from '@playwright/test';
import { newVisit, saved, signIn } from '../keyboard';
import { origin } from '../server';

test('girths of a morning and an evening tell what a day adds: the size, the insole and the try-on count with it', async ({
  page,
}) => {
  await signIn(page);
  const { visitId } = await newVisit(page, 'Swells');
  const address = page.url().split('#')[0];
  await page.goto(`${address}#feet`);
  await page.getByLabel('Foot length, heel to longest toe, left').fill('262');
  await page.getByLabel('Foot length, heel to longest toe, right').fill('264');
  await page.getByRole('tab', { name: 'Swelling' }).click();
  for (const [reading, hour, left] of [
    [1, '08:00', '520'],
    [2, '19:30', '541'],
  ] as const) {
    await page.getByRole('button', { name: 'Add a reading' }).click();
    await page.getByLabel(`Reading ${reading}: day`).fill('15 Jun 2026');
    await page.getByLabel(`Reading ${reading}: time`).fill(hour);
    await page.getByLabel(`Figure-of-eight girth, left, reading ${reading}`).fill(left);
  }
  await page.getByLabel('Hours since rising, reading 1').fill('1');
  await page.getByLabel('Compression at reading 1').selectOption('none');
  await expect(page.getByText(/^Left: a day adds \d+ ± \d+ mm/)).toBeVisible();
  await expect(page.getByText(/size at its evening state/)).toBeVisible();
  await saved(page);
  const { steps } = await (await page.request.get(`${origin()}/api/v1/visits/${visitId}`)).json();
  const feet = steps.find(({ step }: { step: string }) => step === 'feet');
  expect(feet.content.findings.left.daySwing).toBeGreaterThan(8);
  expect(feet.content.swelling[0]).toMatchObject({ awakeHours: 1, compression: 'none' });
  // Measured early, the size counts with what the day adds.
  await page.goto(`${address}#candidates`);
  await page.getByLabel('Feet measured').selectOption('early');
  await page
    .getByRole('button', { name: /^All reasons/ })
    .first()
    .click();
  await expect(page.getByText(/measured early; a day adds \d+ mm of girth/).first()).toBeVisible();
  // Tried in the morning: what the evening will be stands beside the pairs, with the hour of the first rating.
  for (const box of (await page.getByRole('checkbox', { name: /^Bring / }).all()).slice(0, 2))
    await box.check();
  await saved(page);
  await page.clock.setFixedTime(new Date(`${new Date().toISOString().slice(0, 10)}T09:10:00`));
  await page.goto(`${address}#try-on`);
  await page.getByLabel('Comfort, 0–100').first().fill('72');
  await expect(
    page.getByText(/^Tried at 09:10: by the evening the left foot about \d+ mm more girth/),
  ).toBeVisible();
});
