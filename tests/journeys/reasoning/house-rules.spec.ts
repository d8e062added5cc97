import { expect, test } from '@playwright/test';
import { ready, signIn } from '../keyboard';
import { origin } from '../server';
import { handedOver, openTab } from './past-patients';

test('the lead adds a house rule: previewed, put in force, and what was issued replays as it was', async ({
  page,
}) => {
  await signIn(page, 'lead');
  // Issued before the change, and compared with afterwards.
  const visit = await handedOver(page, 'Ysolde');
  await page.goto(`${visit}/rationale`);
  await expect(page.getByRole('article')).toContainText('overruled: her knee was quiet');
  await expect(page.getByRole('article')).toContainText('Decision support for licensed practitioners');
  await page.getByRole('link', { name: 'Replay it' }).click();
  await expect(page.getByText('the same to the last byte')).toBeVisible();
  const specification = page.url();

  await page.goto(`${origin()}/knowledge`);
  await ready(page);
  await openTab(page, /House rules/);
  await page.getByRole('button', { name: 'Add a rule of our own …' }).click();
  const form = page.getByRole('form', { name: 'A rule of our own' });
  await form.getByLabel('Finding, in words').fill('runs on our cliff path');
  await form.getByLabel('road running', { exact: true }).check();
  await form.getByRole('button', { name: 'Into the draft' }).click();
  await expect(form).toContainText('Each wish needs at least one option');
  await expect(form.getByLabel('Because, in one sentence')).toHaveAttribute('aria-invalid', 'true');
  await expect(form.getByLabel('Finding, in words')).toHaveValue('runs on our cliff path');
  await form.getByRole('combobox', { name: 'Feature', exact: true }).selectOption('outsoleHardness');
  await form.getByLabel(/^at least/).fill('4');
  await form.getByLabel('Because, in one sentence').fill('The cliff path eats soft rubber within a month.');
  await form.getByLabel('Reason for this change').fill('three worn pairs this spring');
  await form.getByRole('button', { name: 'Into the draft' }).click();
  await expect(page.getByRole('region', { name: 'Draft' })).toContainText('runs on our cliff path');

  await page.reload();
  await openTab(page, /House rules/);
  await expect(page.getByRole('region', { name: 'Draft' })).toContainText('runs on our cliff path');
  await page.getByRole('button', { name: 'Preview on past patients' }).click();
  const preview = page.getByRole('region', { name: 'Preview' });
  await expect(preview.getByRole('status')).toContainText(
    /[1-9]\d* of \d+ specifications would change: these/,
    {
      timeout: 120_000,
    },
  );
  await expect(preview.getByText(/Outsole hardness/).first()).toBeVisible();

  await page.getByLabel('What this version is for').fill('cliff path');
  await page.getByRole('button', { name: 'Put in force' }).click();
  await expect(page.getByRole('region', { name: 'Versions' })).toContainText('cliff path');

  await page.goto(specification);
  await expect(page.getByText('the same to the last byte')).toBeVisible();
  await expect(page.getByRole('row', { name: /Outsole hardness/ })).toBeVisible();
});
