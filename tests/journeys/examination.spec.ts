import { readFileSync } from 'node:fs';
import { expect, type Locator, type Page, test } from '@playwright/test';
import { writeStl } from '../../src/formats/mesh';
import { writePng } from '../../src/formats/png';
import { writePressureCsv } from '../../src/formats/pressure-csv';
import { footScan } from '../../src/simulators/foot-scanner';
import { footprint } from '../../src/simulators/footprint-scanner';
import { gaitFrame } from '../../src/simulators/gait-camera';
import { pressureStep } from '../../src/simulators/pressure-plate';
import { executablePath, SOFTWARE_3D } from './browser';
import { choose, newVisit, press, saved, signIn, tabTo, typeInto } from './keyboard';

test.use({ launchOptions: { executablePath, args: SOFTWARE_3D } });

const open = async (page: Page, step: string, tab: string): Promise<void> => {
  await page.evaluate((hash) => {
    location.hash = hash;
  }, step);
  await page.getByRole('tab', { name: tab, exact: true }).click();
};

/** Opens the dialog of a device and takes from the simulated one. */
async function simulate(page: Page, button: string, settings: Record<string, string> = {}): Promise<void> {
  await page.getByRole('button', { name: button }).click();
  const dialog = page.getByRole('dialog', { name: button });
  for (const [label, value] of Object.entries(settings)) {
    const field = dialog.getByLabel(label, { exact: true });
    if ((await field.evaluate((element) => element.tagName)) === 'SELECT') await field.selectOption(value);
    else await field.fill(value);
  }
  await dialog.getByRole('button', { name: 'Take from the simulated device' }).click();
}

async function upload(
  page: Page,
  button: string,
  ...files: { name: string; mimeType: string; buffer: Buffer }[]
): Promise<void> {
  await page.getByRole('button', { name: button }).click();
  await page.getByRole('dialog', { name: button }).getByLabel('From a file').setInputFiles(files);
}
const png = (name: string, picture: Parameters<typeof writePng>[0]) => ({
  name,
  mimeType: 'image/png',
  buffer: Buffer.from(writePng(picture)),
});
const figure = async (row: Locator): Promise<number> =>
  Number((await row.getByRole('cell').first().innerText()).match(/[−-]?[\d.]+/)![0].replace('−', '-'));

test('an examination by keyboard alone: marked, scored, timed, tapped, girthed', async ({ page }) => {
  test.setTimeout(120_000);
  await signIn(page);
  await newVisit(page, 'Keyboard');
  const panel = page.getByRole('complementary', { name: 'Specification' });

  await open(page, 'ask', 'Aches');
  await press(page, page.getByRole('checkbox', { name: 'heel cord, mid-portion, left' }));
  await expect(panel.getByRole('button', { name: /Heel-to-toe drop/ })).toBeVisible();
  await choose(page, 'How much, 0–10', 7);
  await press(page, page.getByRole('checkbox', { name: 'at start-up' }));
  await expect(page.getByRole('button', { name: 'heel cord, mid-portion, left: 6/10' })).toBeVisible();

  await open(page, 'ask', 'Injuries');
  await press(page, page.getByRole('checkbox', { name: 'ankle, outer side, right, injuries' }));
  await tabTo(page, page.getByLabel('What the injury was'));
  await page.keyboard.type('ankle s');
  await typeInto(page, 'When, year or year-month', '2028-13');
  await expect(page.getByText('Write 2029 or 2029-03.')).toBeVisible();
  await page.keyboard.press('Backspace');
  await page.keyboard.type('1');
  await expect(page.getByRole('region', { name: 'Injuries in time' })).toContainText('2028-11 ankle sprain');

  await open(page, 'load', 'Posture');
  const items = await page.getByRole('group', { name: /, left$/ }).all();
  expect(items).toHaveLength(6);
  for (const [at, digit] of [4, 4, 4, 3, 4, 5].entries())
    await choose(page, (await items[at]!.locator('legend').innerText()).trim(), digit);
  await expect(page.getByText('pronated', { exact: true })).toBeVisible();

  await open(page, 'load', 'Strength and balance');
  await press(page, page.getByRole('button', { name: 'Start the stopwatch: Timed up and go' }));
  await page.waitForTimeout(3300);
  await page.keyboard.press('Space');
  const timed = Number(await page.getByLabel('Timed up and go', { exact: true }).inputValue());
  expect(timed).toBeGreaterThan(3);
  expect(timed).toBeLessThan(4.5);

  await open(page, 'move', 'Cadence');
  await tabTo(page, page.getByRole('button', { name: 'Tap', exact: true }));
  for (let tap = 0; tap < 6; tap += 1) {
    await page.keyboard.press('Space');
    await page.waitForTimeout(500);
  }
  await press(page, page.getByRole('button', { name: 'Keep this cadence' }), 'Enter');
  const cadence = Number(await page.getByLabel('Running cadence, one foot').inputValue());
  expect(cadence).toBeGreaterThan(95);
  expect(cadence).toBeLessThan(122);

  await open(page, 'feet', 'Swelling');
  for (const [at, time, girth] of [
    [1, '2026-01-05T08:30', '50.2 cm'],
    [2, '2026-01-05T17:30', '518'],
  ] as const) {
    await press(page, page.getByRole('button', { name: 'Add a reading' }), 'Enter');
    await page.getByLabel(`Moment of reading ${at}`).fill(time);
    await typeInto(page, `Figure-of-eight girth, left, reading ${at}`, girth);
  }
  await expect(page.getByText(/The left foot gains 16 mm of figure-of-eight girth in a day/)).toBeVisible();

  await press(
    page,
    page.getByRole('button', { name: 'Note it as swelling that comes and goes, left' }),
    'Enter',
  );
  await expect(panel.getByRole('button', { name: /Closure/ })).toContainText('hook-and-loop');

  await page.keyboard.press('Alt+w');
  await page.getByText('Ankle-injury rules, step by step').click();
  await choose(page, 'Pain about a malleolus, right', 2);
  await choose(page, 'Could take four steps, then and now, right', 1);
  await expect(page.getByText('X-ray by the rule')).toBeVisible();
  await expect(
    page.getByText('The findings point at this: mark it, then refer or exclude it.'),
  ).toBeVisible();
  await saved(page);

  // Everything is there after a reload, with who took it and how.
  await page.reload();
  await open(page, 'ask', 'Aches');
  await expect(page.getByRole('button', { name: 'heel cord, mid-portion, left: 6/10' })).toBeVisible();
  await page.getByRole('link', { name: 'Record' }).click();
  const record = page.getByRole('table');
  await expect(record.getByRole('row', { name: /Timed up and go/ }).first()).toContainText('stopwatch');
  await expect(record.getByRole('row', { name: /Running cadence/ })).toContainText('tapped steps');
  await expect(record.getByRole('row', { name: /Posture, six items left/ })).toContainText('6 pronated');
  await expect(page.getByRole('main')).toContainText('No forecast of injury'.toLowerCase());
});

test('a visit with every device: each reading matches what the device was set to, and is kept', async ({
  page,
}) => {
  test.setTimeout(180_000);
  await signIn(page);
  await newVisit(page, 'Devices');

  // Footprint: simulated on the left, a file on the right.
  await open(page, 'feet', 'Footprint');
  await simulate(page, 'Take a print, left', { 'arch index': '0.285' });
  const left = page.getByRole('region', { name: 'Footprint, left' });
  await expect(left.getByText('low arch')).toBeVisible({ timeout: 20_000 });
  expect(Math.abs((await figure(left.getByRole('row', { name: /^Arch index/ }))) - 0.285)).toBeLessThan(0.01);
  await left.getByRole('button', { name: 'Keep, left' }).click();
  await expect(left.getByText('Kept in the visit.')).toBeVisible();
  await upload(page, 'Take a print, right', png('right.png', footprint({ archIndex: 0.2 }).picture));
  const right = page.getByRole('region', { name: 'Footprint, right' });
  await expect(right.getByText('high arch')).toBeVisible({ timeout: 20_000 });
  await right.getByRole('button', { name: 'Keep, right' }).click();

  // Scan: measured, shown, kept.
  await open(page, 'feet', 'Scan');
  await simulate(page, 'Take a scan, left', { 'length, mm': '247', 'unit of the file': 'in' });
  const scan = page.getByRole('region', { name: 'Scan, left' });
  await expect(scan.getByRole('row', { name: /Foot length/ })).toContainText(/24[67]\.\d/, {
    timeout: 30_000,
  });
  await expect(scan.getByText(/by its size it is in in/)).toBeVisible();
  await expect(scan.locator('canvas')).toBeVisible();
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
    await expect(page.getByRole('button', { name: `Step ${seed}, left` })).toBeVisible({ timeout: 20_000 });
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
  await page.getByRole('button', { name: 'Snap to the dots' }).click({ timeout: 20_000 });
  await expect(page.getByText('3°', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'standing', exact: true }).click();
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
  await expect(readings.getByRole('row', { name: /pair A/ })).toContainText('against barefoot');
  await expect(readings).not.toContainText('overpronat');
  await readings.getByText('Each placing, and how well it repeats').click();
  await expect(readings.getByRole('button', { name: /^Remove placing/ })).toHaveCount(4);
  await readings.getByRole('button', { name: 'Remove placing 4' }).click();
  await expect(readings.getByRole('row', { name: /pair A/ })).toBeHidden();
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

test('bad files get a clear answer or a visible repair, and the visit keeps what it has', async ({
  page,
}) => {
  test.setTimeout(180_000);
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
    [{ name: 'letter.png', mimeType: 'image/png', buffer: Buffer.from('no picture') }, 'use PNG or JPEG'],
  ] as const) {
    await upload(page, 'Take a print, left', file);
    await expect(print.getByRole('alert')).toContainText(answer, { timeout: 20_000 });
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
    mimeType: 'model/stl',
    buffer: Buffer.from(bytes),
  });
  const foot = footScan({ side: 'left', rings: 120, spokes: 70, insideOut: true, unit: 'm' });
  await upload(page, 'Take a scan, left', stl('cut.stl', writeStl(foot.mesh).slice(0, 9000)));
  await expect(scan.getByRole('alert')).toContainText('cut short');
  await upload(page, 'Take a scan, left', stl('foot.stl', writeStl(foot.mesh)));
  await expect(scan.getByText(/inside out and has been turned over/)).toBeVisible({ timeout: 20_000 });
  await expect(scan.getByText(/by its size it is in m\b/)).toBeVisible();

  await open(page, 'move', 'Pressure');
  const pressure = page.getByRole('region', { name: 'Pressure, left' });
  const text = writePressureCsv(pressureStep({ side: 'left', frames: 12 }).recording);
  const csv = (body: string) => ({ name: 'step.csv', mimeType: 'text/csv', buffer: Buffer.from(body) });
  await upload(page, 'Take a step, left', csv(text.replace('\n0,2,0', '\n0,2,oops')));
  await expect(pressure.getByRole('alert')).toContainText('Line 6, column 3: “oops” is not a number.');
  await upload(page, 'Take a step, left', csv(text.replace(/# pitch.*\n/, '')));
  await pressure.getByLabel('Sensor pitch, mm').fill('5');
  await upload(
    page,
    'Take a step, left',
    csv(text.replace(/# pitch.*\n/, '').replace(/^(0,\d+),0,/gm, '$1,-4,')),
  );
  await expect(pressure.getByText(/cells were below zero and count as 0/)).toBeVisible({ timeout: 20_000 });

  await open(page, 'move', 'Gait clip');
  await upload(page, 'Load a clip', {
    name: 'clip.webm',
    mimeType: 'video/webm',
    buffer: Buffer.from('no clip'),
  });
  await expect(page.getByText(/is no clip that this browser can decode/)).toBeVisible({ timeout: 20_000 });

  await open(page, 'feet', 'Measure');
  await expect(page.getByLabel('Foot length, heel to longest toe, left')).toHaveValue('262');
  await saved(page);
});

test('a video is decoded frame by frame at its own rate', async ({ page }) => {
  test.setTimeout(90_000);
  await signIn(page);
  await newVisit(page, 'Video');
  await open(page, 'move', 'Gait clip');
  // The browser records a clip of a moving bar, as a camera would.
  const clip = await page.evaluate(async () => {
    const canvas = document.createElement('canvas');
    canvas.width = 240;
    canvas.height = 320;
    const context = canvas.getContext('2d')!;
    const recorder = new MediaRecorder(canvas.captureStream(30), { mimeType: 'video/webm;codecs=vp8' });
    const parts: Blob[] = [];
    recorder.ondataavailable = (event) => parts.push(event.data);
    const done = new Promise((resolve) => {
      recorder.onstop = resolve;
    });
    recorder.start();
    for (let frame = 0; frame < 40; frame += 1) {
      context.fillStyle = '#d0b090';
      context.fillRect(0, 0, 240, 320);
      context.fillStyle = '#222';
      context.fillRect(frame * 5, 100, 12, 12);
      await new Promise((resolve) => setTimeout(resolve, 33));
    }
    recorder.stop();
    await done;
    const bytes = new Uint8Array(await new Blob(parts).arrayBuffer());
    return [...bytes];
  });
  await upload(page, 'Load a clip', { name: 'clip.webm', mimeType: 'video/webm', buffer: Buffer.from(clip) });
  await expect(page.getByRole('slider', { name: 'Frame', exact: true })).toBeVisible({ timeout: 30_000 });
  const frames = Number(await page.getByRole('slider', { name: 'Frame', exact: true }).getAttribute('max'));
  expect(frames).toBeGreaterThan(10);
  await page.getByText('running', { exact: true }).click();
  await expect(page.getByText(/frames of a running contact/)).toBeVisible();
});

test.describe('by touch on a tablet', () => {
  test.use({ viewport: { width: 1024, height: 768 }, hasTouch: true });

  test('places are tapped, an outline is wiped, an axis is dragged', async ({ page }) => {
    test.setTimeout(90_000);
    await signIn(page);
    await newVisit(page, 'Touch');
    await open(page, 'ask', 'Aches');
    await page.getByRole('checkbox', { name: 'under the heel, right' }).tap();
    await page.getByRole('group', { name: 'How much, 0–10' }).getByText('4', { exact: true }).tap();
    await expect(page.getByRole('button', { name: 'under the heel, right: 4/10' })).toBeVisible();

    await open(page, 'feet', 'Footprint');
    await simulate(page, 'Take a print, right', { 'arch index': '0.25' });
    const print = page.getByRole('region', { name: 'Footprint, right' });
    const index = print.getByRole('row', { name: /^Arch index/ });
    await expect(index).toBeVisible({ timeout: 20_000 });
    const before = await figure(index);
    await print.getByText('wipe', { exact: true }).tap();
    const drawing = print.getByRole('application');
    const box = (await drawing.boundingBox())!;
    await page.touchscreen.tap(box.x + box.width / 2, box.y + box.height * 0.56);
    await expect.poll(() => figure(index)).toBeLessThan(before - 0.004);
    await print.getByText('axis', { exact: true }).tap();
    const toe = print.getByRole('slider', { name: 'Toe end of the axis' });
    const wiped = await figure(index);
    const end = (await toe.boundingBox())!;
    await page.mouse.move(end.x + end.width / 2, end.y + end.height / 2);
    await page.mouse.down();
    await page.mouse.move(end.x + end.width / 2 + 30, end.y + end.height / 2, { steps: 4 });
    await page.mouse.up();
    await expect.poll(() => figure(index)).not.toBe(wiped);
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect(wide).toBeLessThanOrEqual(0);
    await saved(page);
  });
});

test('a long reading shows its progress and can be cancelled', async ({ page }) => {
  await signIn(page);
  await newVisit(page, 'Cancel');
  await open(page, 'move', 'Gait clip');
  await simulate(page, 'Load a clip', { frames: '120' });
  await expect(page.getByRole('progressbar')).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByText('Cancelled. Nothing in the visit has changed.')).toBeVisible();
});

test('the pictures of the README are there', async () => {
  const readme = readFileSync(new URL('../../README.md', import.meta.url), 'utf8');
  const pictures = [...readme.matchAll(/docs\/screenshots\/([\w-]+\.png)/g)].map((match) => match[1]!);
  expect(pictures.length).toBeGreaterThan(10);
  for (const picture of pictures) readFileSync(new URL(`../../docs/screenshots/${picture}`, import.meta.url));
});

test('how much and when: minutes, distance and events are kept', async ({ page }) => {
  await signIn(page);
  await newVisit(page, 'Amounts');
  await open(page, 'ask', 'What for');
  await page.getByRole('checkbox', { name: 'road running' }).check({ force: true });
  await page.getByRole('tab', { name: 'How much, and when' }).click();
  await page.getByLabel('road running, minutes a week').fill('150');
  await page.getByLabel('road running, kilometres a week').fill('12 mi');
  await expect(page.getByText('19.3 km a week together.')).toBeVisible();
  await page.getByLabel('road running, minutes a week').fill('20000');
  await expect(page.getByLabel('road running, minutes a week')).toHaveAttribute('aria-invalid', 'true');
  await page.getByRole('button', { name: 'Add an event' }).click();
  await page.getByLabel('Event 1', { exact: true }).fill('Island relay');
  await page.getByLabel('Day of event 1').fill('2031-05-04');
  await saved(page);
  await page.reload();
  await open(page, 'ask', 'How much, and when');
  await expect(page.getByLabel('road running, minutes a week')).toHaveValue('150');
  await expect(page.getByLabel('Event 1', { exact: true })).toHaveValue('Island relay');
  await expect(page.getByLabel('Day of event 1')).toHaveValue('2031-05-04');
});

test('a lost site outweighs “felt”, and no skin changes is an answer of its own', async ({ page }) => {
  await signIn(page);
  await newVisit(page, 'Sites');
  await open(page, 'feet', 'Sensation and pulses');
  await page.getByRole('group', { name: '10 g monofilament, left' }).getByText('felt at every site').click();
  await page.getByRole('group', { name: 'Foot pulses, left' }).getByText('present', { exact: true }).click();
  await expect(page.getByText('Category 0')).toBeVisible();
  await page.getByLabel('10 g filament, 5th head, left').fill('1');
  await expect(page.getByText('left: lost by its sites.')).toBeVisible();
  await expect(page.getByText('Category 1')).toBeVisible();
  await page.getByRole('tab', { name: 'Skin', exact: true }).click();
  await expect(page.getByText('skin changes, right: not asked')).toBeVisible();
  await page.getByRole('button', { name: 'No skin changes right' }).click();
  await expect(page.getByText('no skin changes, right')).toBeVisible();
  await saved(page);
  await page.getByRole('link', { name: 'Record' }).click();
  await expect(page.getByRole('row', { name: /^Skin right/ })).toContainText('none');
});
