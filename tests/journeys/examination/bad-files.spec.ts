import { expect, test } from '@playwright/test';
import { writeStl } from '../../../src/formats/mesh';
import { writePressureCsv } from '../../../src/formats/pressure-csv';
import { footScan } from '../../../src/simulators/foot-scanner';
import { footprint } from '../../../src/simulators/footprint-scanner';
import { pressureStep } from '../../../src/simulators/pressure-plate';
import { executablePath, SOFTWARE_3D } from '../browser';
import { newVisit, saved, signIn } from '../keyboard';
import { figure, open, png, upload } from './devices';

test.use({ launchOptions: { executablePath, args: SOFTWARE_3D } });
test('bad files get a clear answer or a visible repair, and the visit keeps what it has', async ({
  page,
}) => {
  await signIn(page);
  await newVisit(page, 'Badfile');
  await open(page, 'feet', 'Measure');
  await page.getByLabel('Foot length, heel to longest toe, left').fill('262');

  await open(page, 'feet', 'Footprint');
  const print = page.getByRole('region', { name: 'Footprint, left' });
  const plain = (level: number) => ({
    width: 400,
    height: 600,
    data: new Uint8ClampedArray(400 * 600 * 4).fill(level),
  });
  for (const [file, answer] of [
    [png('white.png', plain(255)), 'burnt out'],
    [png('grey.png', plain(200)), 'No print stands out'],
    [png('tiny.png', footprint({ pixelsPerMm: 0.35 }).picture), 'Take the picture closer'],
    [{ name: 'letter.png', buffer: Buffer.from('no picture') }, 'use PNG or JPEG'],
  ] as const) {
    await upload(page, 'Take a print, left', file);
    await expect(print.getByRole('alert')).toContainText(answer);
    await expect(print.getByRole('alert')).toContainText('Nothing in the visit has changed.');
  }
  const one = footprint({ side: 'left', archIndex: 0.21, pixelsPerMm: 2, shade: 0 }).picture;
  const other = footprint({ side: 'right', archIndex: 0.29, pixelsPerMm: 2, shade: 0 }).picture;
  const both = { width: one.width * 2, height: one.height, data: new Uint8ClampedArray(one.data.length * 2) };
  for (let y = 0; y < one.height; y += 1)
    for (const [at, half] of [one, other].entries())
      both.data.set(
        half.data.subarray(y * one.width * 4, (y + 1) * one.width * 4),
        (y * both.width + at * one.width) * 4,
      );
  await upload(page, 'Take a print, left', png('both.png', both));
  await expect(print.getByRole('alert')).toContainText('two prints');
  await print.getByRole('button', { name: 'Read the other' }).click();
  await expect(print.getByText(/looks like the print of the other foot/)).toBeVisible();
  await print.getByRole('button', { name: 'Take a print, left' }).press('Escape');
  await upload(page, 'Take a print, left', png('both.png', both));
  await print.getByRole('button', { name: 'Read the left or upper one' }).click();
  await expect(print.getByText(/looks like the print of the other foot/)).toBeHidden();
  expect(Math.abs((await figure(print.getByRole('row', { name: /^Arch index/ }))) - 0.21)).toBeLessThan(0.01);

  await open(page, 'feet', 'Scan');
  const scan = page.getByRole('region', { name: 'Scan, left' });
  const stl = (name: string, bytes: ArrayBuffer) => ({
    name,
    buffer: Buffer.from(bytes),
  });
  const foot = footScan({ side: 'left', rings: 120, spokes: 70, insideOut: true, unit: 'm' });
  await upload(page, 'Take a scan, left', stl('cut.stl', writeStl(foot.mesh).slice(0, 9000)));
  await expect(scan.getByRole('alert')).toContainText('cut short');
  await upload(page, 'Take a scan, left', stl('foot.stl', writeStl(foot.mesh)));
  await expect(scan.getByText(/inside out and has been turned over/)).toBeVisible();
  await expect(scan.getByText(/by its size it is in m\b/)).toBeVisible();

  await open(page, 'move', 'Pressure');
  const pressure = page.getByRole('region', { name: 'Pressure, left' });
  const text = writePressureCsv(pressureStep({ side: 'left', frames: 12 }).recording);
  const csv = (body: string) => ({ name: 'step.csv', buffer: Buffer.from(body) });
  await upload(page, 'Take a step, left', csv(text.replace('\n0,2,0', '\n0,2,oops')));
  await expect(pressure.getByRole('alert')).toContainText('Line 6, column 3: “oops” is not a number.');
  await upload(page, 'Take a step, left', csv(text.replace(/# pitch.*\n/, '')));
  await pressure.getByLabel('Sensor pitch, mm').fill('5');
  await upload(
    page,
    'Take a step, left',
    csv(text.replace(/# pitch.*\n/, '').replace(/^(0,\d+),0,/gm, '$1,-4,')),
  );
  await expect(pressure.getByText(/cells were below zero and count as 0/)).toBeVisible();

  await open(page, 'move', 'Gait clip');
  await upload(page, 'Load a clip', {
    name: 'clip.webm',
    buffer: Buffer.from('no clip'),
  });
  await expect(page.getByText(/cannot be played by this browser/)).toBeVisible();

  await open(page, 'feet', 'Measure');
  await expect(page.getByLabel('Foot length, heel to longest toe, left')).toHaveValue('262');
  await saved(page);
});
