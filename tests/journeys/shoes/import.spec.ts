import { expect, test } from '@playwright/test';
import { ready, signIn } from '../keyboard';
import { origin } from '../server';

test('a file is read before it is sent: errors by row and column, then all at once, then out again', async ({
  page,
}) => {
  await signIn(page);
  await page.goto(`${origin()}/shoes/files`);
  await ready(page);
  const head = 'maker;name;version;group;system;allowance_mm;sizes;widths;ball_width_mm;drop_mm;mass_g';
  const file = (name: string, text: string) => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
  const choose = page.getByLabel('Choose a file');
  await choose.setInputFiles(
    file(
      'bad.csv',
      `${head}\nTestwork;One;1;men;eu;15;39-46;D;95;80;0,3\nTestwork;One;1;men;eu;15;39-46;D;95;8;300\n`,
    ),
  );
  const errors = page.getByRole('region', { name: 'Errors of the file' });
  await expect(errors.getByRole('row', { name: /^2 drop_mm/ })).toContainText('outside');
  await expect(errors.getByRole('row', { name: /^2 mass_g/ })).toContainText('300');
  await expect(page.getByRole('button', { name: /^Import/ })).toHaveCount(0);
  await choose.setInputFiles(
    file(
      'good.csv',
      `${head}\nTestwork;=One;1;men;eu;15;39-46;D;95;8,5;300\nTestwork;Two;1;men;eu;15;39-46;D;95;8;0,3 kg\n`,
    ),
  );
  await page.getByRole('button', { name: 'Import 2 models' }).click();
  await expect(page.getByText('2 added, 0 changed.')).toBeVisible();
  const out = await page.request.get(`${origin()}/api/v1/catalogue?format=csv`);
  expect(await out.text()).toContain("'=One");
});
