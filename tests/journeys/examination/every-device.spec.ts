import { expect, test } from '@playwright/test';
import { footprint } from '../../../src/simulators/footprint-scanner';
import { gaitFrame } from '../../../src/simulators/gait-camera';
import { executablePath, SOFTWARE_3D } from '../browser';
import { newVisit, saved, signIn } from '../keyboard';
import { figure, open, png, shadesOf, simulate, upload } from './devices';

test.use({ launchOptions: { executablePath, args: SOFTWARE_3D } });
test('a visit with every device: each reading matches what the device was set to, and is kept', async ({
  page,
}) => {
  await signIn(page);
  await newVisit(page, 'Devices');

  // Footprint: simulated on the left, a file on the right.
  await open(page, 'feet', 'Footprint');
  await simulate(page, 'Take a print, left', { 'arch index': '0.285' });
  const left = page.getByRole('region', { name: 'Footprint, left' });
  await expect(left.getByText('low arch')).toBeVisible();
  expect(Math.abs((await figure(left.getByRole('row', { name: /^Arch index/ }))) - 0.285)).toBeLessThan(0.01);
  await left.getByRole('button', { name: 'Keep, left' }).click();
  await expect(left.getByText('Kept in the visit.')).toBeVisible();
  await upload(page, 'Take a print, right', png('right.png', footprint({ archIndex: 0.2 }).picture));
  const right = page.getByRole('region', { name: 'Footprint, right' });
  await expect(right.getByText('high arch')).toBeVisible();
  await right.getByRole('button', { name: 'Keep, right' }).click();

  // Scan: measured, shown, kept.
  await open(page, 'feet', 'Scan');
  await simulate(page, 'Take a scan, left', { 'length, mm': '247', 'unit of the file': 'in' });
  const scan = page.getByRole('region', { name: 'Scan, left' });
  await expect(scan.getByRole('row', { name: /Foot length/ })).toContainText(/24[67]\.\d/);
  await expect(scan.getByText(/by its size it is in in/)).toBeVisible();
  // Drawn, by its worker: more shades than its ground, a skin and two lines would have by themselves.
  await expect.poll(() => scan.locator('canvas').evaluate(shadesOf)).toBeGreaterThan(20);
  await scan.getByRole('button', { name: 'Keep all, left' }).click();
  await open(page, 'feet', 'Measure');
  expect(
    Math.abs(Number(await page.getByLabel('Foot length, heel to longest toe, left').inputValue()) - 247),
  ).toBeLessThan(1);
  await expect(page.locator('[data-finding="left.footLength"]')).toContainText('foot scan');

  // Pressure: three steps a side make a mean with its spread.
  await open(page, 'move', 'Pressure');
  for (const seed of ['1', '2', '3']) {
    await simulate(page, 'Take a step, left', { seed, 'peak, kPa': `${400 + 20 * Number(seed)}` });
    await expect(page.getByRole('button', { name: `Step ${seed}, left` })).toBeVisible();
  }
  const pressure = page.getByRole('region', { name: 'Pressure, left' });
  const peak = pressure.getByRole('row', { name: /^Peak pressure/ });
  expect(Math.abs((await figure(peak)) - 440)).toBeLessThan(8);
  await expect(peak).toContainText('± 2');
  await page.getByText('in the shoe', { exact: true }).click();
  await pressure.getByLabel('In the shoe before, kPa, left').fill('700');
  await expect(pressure.getByText(/reaches the target/)).toBeVisible();
  await pressure.getByLabel('In the shoe before, kPa, left').fill('500');
  await expect(pressure.getByText(/does not reach the target/)).toBeVisible();
  await page.getByText('barefoot', { exact: true }).click();
  await pressure.getByRole('button', { name: 'Roll' }).click();
  await expect(pressure.getByRole('group', { name: /frame \d+ of 70/ })).toBeVisible();
  await pressure.getByRole('button', { name: 'Keep, left' }).click();

  // A print that was taken is still there after other steps.
  await open(page, 'feet', 'Footprint');
  await expect(left.getByText('low arch')).toBeVisible();

  // Gait: a folder of frames, snapped, followed, kept barefoot and in a shoe.
  await open(page, 'move', 'Gait clip');
  const frames = { side: 'left', frames: 24, peakDeg: 10, touchdownDeg: -2, stanceDeg: 3 } as const;
  await upload(
    page,
    'Load a clip',
    ...Array.from({ length: 24 }, (_, at) => png(`frame ${at}.png`, gaitFrame(frames, at).picture)),
  );
  await page.getByRole('button', { name: 'Snap to the dots' }).click();
  await expect(page.getByText('3°', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'standing, one leg', exact: true }).click();
  await page.getByRole('button', { name: 'Frame on' }).click();
  await page.getByRole('button', { name: 'Snap to the dots' }).click();
  await page.getByRole('button', { name: 'touchdown', exact: true }).click();
  await page.getByRole('button', { name: 'Follow to the end' }).click();
  await page.getByRole('button', { name: /Go to the highest, frame 1\d/ }).click();
  await page.getByRole('button', { name: 'peak', exact: true }).click();
  const readings = page.getByRole('region', { name: 'Gait readings' });
  await expect(readings.getByRole('row', { name: /barefoot walking left/ })).toContainText('12°');
  await page.getByLabel('On the feet').fill('pair A');
  await page.getByLabel('Heel line, lower end').focus();
  for (let nudge = 0; nudge < 4; nudge += 1) await page.keyboard.press('Shift+ArrowRight');
  await page.getByRole('button', { name: 'peak', exact: true }).click();
  await expect(readings.getByRole('row', { name: /^pair A/ })).toContainText('against barefoot');
  await expect(readings).not.toContainText('overpronat');
  await readings.getByText('Each placing, and how well it repeats').click();
  await expect(readings.getByRole('button', { name: /^Remove placing/ })).toHaveCount(4);
  await readings.getByRole('button', { name: 'Remove placing 4' }).click();
  await expect(readings.getByRole('row', { name: /pair A/ })).toHaveCount(0);
  await saved(page);

  await page.reload();
  await page.getByRole('link', { name: 'Record' }).click();
  const record = page.getByRole('table');
  for (const [row, device] of [
    [/^Arch index left/, 'footprint picture'],
    [/^Ball girth left/, 'foot scan'],
    [/^Peak pressure left/, 'pressure plate'],
    [/^Heel angle, peak walking left/, 'gait clip'],
  ] as const)
    await expect(record.getByRole('row', { name: row })).toContainText(device);
});
