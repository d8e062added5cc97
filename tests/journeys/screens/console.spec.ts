import { expect, test } from '@playwright/test';
import { signIn } from '../keyboard';
import { origin } from '../server';
import { openDemoVisit } from './looking';

test('no page speaks to the console of blocked scripts or failures', async ({ page }) => {
  const said: string[] = [];
  page.on('console', (message) => message.type() === 'error' && said.push(message.text()));
  page.on('pageerror', (error) => said.push(error.message));
  await signIn(page);
  const visit = await openDemoVisit(page);
  await page.goto(`${visit}#candidates`);
  await expect(page.getByText(/models are within the limits/)).toBeVisible();
  for (const path of ['today', 'shoes', 'knowledge', 'settings']) await page.goto(`${origin()}/${path}`);
  expect(said).toEqual([]);
});
