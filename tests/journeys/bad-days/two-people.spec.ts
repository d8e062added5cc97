import { expect, test } from '@playwright/test';
import { newVisit, saved, signIn } from '../keyboard';
import { origin } from '../server';

test('two people on one visit: the second is told, shown the difference, and decides', async ({
  page,
  browser,
}) => {
  await signIn(page);
  const { visitId } = await newVisit(page, 'Both');
  const other = await (await browser.newContext()).newPage();
  await signIn(other, 'assistant');
  await other.goto(`${origin()}/visits/${visitId}`);
  await other.locator('[data-visit]').waitFor();
  await expect(other.getByText('Tomas Brekkan is also on this visit')).toBeVisible();
  await page.getByLabel('Body mass').fill('70');
  await saved(page);
  await other.getByLabel('Body mass').fill('72');
  await other.getByLabel('Standing a day').fill('5');
  const panel = other.getByRole('alert', { name: 'Two versions' });
  await expect(panel).toContainText('Tomas Brekkan saved Ask while you worked on it');
  const mass = panel.getByRole('row', { name: /Body mass/ });
  await expect(mass).toContainText('72');
  await expect(mass).toContainText('70');
  await mass.getByRole('radio').nth(1).check();
  await panel.getByRole('button', { name: 'Save these values' }).click();
  await expect(other.getByLabel('Body mass')).toHaveValue('70');
  await saved(other);
  const record = await (await page.request.get(`${origin()}/api/v1/visits/${visitId}`)).json();
  expect(record.steps[0].content.findings.body).toMatchObject({ bodyMass: 70, hoursStanding: 5 });
});
