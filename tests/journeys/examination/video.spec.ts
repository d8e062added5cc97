import { expect, test } from '@playwright/test';
import { newVisit, signIn } from '../keyboard';
import { film, open, upload } from './devices';

test('a video is decoded frame by frame at its own rate', async ({ page }) => {
  await signIn(page);
  await newVisit(page, 'Video');
  await open(page, 'move', 'Gait clip');
  await upload(page, 'Load a clip', film());
  await expect(page.getByRole('slider', { name: 'Frame', exact: true })).toBeVisible();
  const frames = Number(await page.getByRole('slider', { name: 'Frame', exact: true }).getAttribute('max'));
  expect(frames).toBeGreaterThan(10);
  await page.getByText('running', { exact: true }).click();
  await expect(page.getByText(/frames of a running contact/)).toBeVisible();
});
