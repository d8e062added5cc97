import { expect, test } from '@playwright/test';
import { deepestFrame, KNEE_CAMERA, kneeFrame } from '../../../src/simulators/knee-camera';
import { newVisit, saved, signIn } from '../keyboard';
import { open, png, simulate, upload } from './devices';

test('the knee bend on a frame: plumb line, three placings a side, and what they say', async ({ page }) => {
  await signIn(page);
  await newVisit(page, 'Kneebend');
  await open(page, 'load', 'Knee bend');
  const frames = { side: 'left', insideMm: 26, frames: 6 } as const;
  await upload(
    page,
    'Load a front view',
    ...Array.from({ length: 6 }, (_, at) => png(`knee ${at}.png`, kneeFrame(frames, at).picture)),
  );
  // Nothing is measured before the points are placed.
  await expect(page.getByText('Place the points: kneecap, second toe, plumb line, scale.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Keep this placing' })).toBeDisabled();
  await page
    .getByRole('slider', { name: 'Frame', exact: true })
    .fill(String(deepestFrame({ ...KNEE_CAMERA, ...frames })));
  await page.getByRole('button', { name: 'Snap to the dots' }).click();
  await expect(page.getByText(/^2[5-7](\.5)? mm$/)).toBeVisible();
  await expect(page.getByText('The line falls inside the second toe.')).toBeVisible();
  const keep = page.getByRole('button', { name: 'Keep this placing' });
  await keep.click();
  // Two more by hand: the kneecap nudged by arrow keys.
  await page.getByLabel('Middle of the kneecap').focus();
  await page.keyboard.press('Shift+ArrowRight');
  await keep.click();
  await page.keyboard.press('Shift+ArrowLeft');
  await keep.click();
  const placings = page.getByRole('region', { name: 'Knee bend placings' });
  await expect(placings.getByRole('row', { name: /left/ })).toContainText(/\d mm in 3/);

  // The other foot from the simulated camera, on one leg: kept apart.
  await simulate(page, 'Load a front view', { foot: 'right', 'falls inside, mm': '3' });
  await expect(page.getByRole('slider', { name: 'Frame', exact: true })).toHaveAttribute('max', '11');
  await page.getByRole('slider', { name: 'Frame', exact: true }).fill('11');
  await page.getByRole('button', { name: 'Snap to the dots' }).click();
  await keep.click();
  await expect(placings.getByRole('row', { name: /right/ })).toContainText('1 of 3');
  await saved(page);
  // What was measured says where the kneecap falls, where nobody has judged it by eye.
  await page.getByRole('link', { name: 'Record' }).click();
  const record = page.getByRole('table');
  await expect(record.getByRole('row', { name: /^Knee bend, inside the second toe left/ })).toContainText(
    'gait clip',
  );
  await expect(record.getByRole('row', { name: /^Knee bend, kneecap falls left/ })).toContainText(
    'inside the second toe',
  );
});
