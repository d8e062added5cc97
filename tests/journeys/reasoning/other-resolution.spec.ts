import { expect, test } from '@playwright/test';
import { signIn } from '../keyboard';
import { handedOver } from './past-patients';

test('another resolution is offered with its costs; beside a prosthesis the lift goes inside the sound side', async ({
  page,
}) => {
  await signIn(page);
  await handedOver(page, 'Dagny');
  await page
    .getByRole('button', { name: /^Heel-to-toe drop: / })
    .first()
    .focus();
  await expect(page.getByRole('region', { name: 'Target' })).toContainText(/(Second peak|Or): \d.*costs/);
  await handedOver(page, 'Tolliver');
  await page.getByRole('tab', { name: 'Left and right' }).click();
  await expect(page.getByRole('region', { name: 'right foot' })).toContainText('Lift inside, under the heel');
  await expect(page.getByRole('region', { name: 'left foot' })).toContainText('No lift');
});
