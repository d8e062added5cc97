import { expect, test } from '@playwright/test';
import { newVisit, PASSWORD, saved, signIn } from '../keyboard';
import { origin } from '../server';

test('an expired sign-in asks again on the spot and saves what waited', async ({ page, context }) => {
  await signIn(page);
  const { visitId } = await newVisit(page, 'Expired');
  await context.clearCookies();
  await page.getByLabel('Body mass').fill('81');
  await expect(page.getByText('Your sign-in has expired')).toBeVisible();
  await page.getByLabel('E-mail').fill('practitioner@harbour.example');
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await saved(page);
  const record = await (await page.request.get(`${origin()}/api/v1/visits/${visitId}`)).json();
  expect(record.steps[0].content.findings.body.bodyMass).toBe(81);
});
