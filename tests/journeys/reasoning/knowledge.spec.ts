import { expect, test } from '@playwright/test';
import { ready, signIn } from '../keyboard';
import { origin } from '../server';
import { openTab } from './past-patients';

test('knowledge is searched by topic, feature, school and evidence, with how each rule fared here', async ({
  page,
}) => {
  await signIn(page);
  await page.goto(`${origin()}/knowledge`);
  await ready(page);
  const count = page.getByRole('status').filter({ hasText: 'rules' });
  await openTab(page, /^Rules/);
  await page.getByRole('combobox', { name: 'School' }).selectOption('load');
  await page.getByRole('combobox', { name: 'Feature' }).selectOption('drop');
  await page.getByRole('combobox', { name: 'Evidence' }).selectOption('A');
  await expect(count).toContainText(/^[1-9] of \d+ rules/);
  await expect(page.getByRole('listitem').filter({ hasText: 'heel cord pain' }).first()).toContainText(
    /applied (once|[1-9])/,
  );
  await page.getByRole('button', { name: 'Show all' }).click();
  await page.getByRole('combobox', { name: 'Only' }).selectOption('overruled');
  await expect(page.getByText(/overruled [1-9]/).first()).toBeVisible();
  await openTab(page, /House rules/);
  await expect(page.getByText('The clinic’s lead puts house rules in force.')).toBeVisible();
  await openTab(page, 'Vocabulary');
  await expect(page.getByRole('row', { name: /Toe spring/ })).toContainText('0–35 mm');
});
