// Takes the pictures of docs/screenshots from a running demo: npm run screenshots [address] [one name]
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { PNG } from 'pngjs';
import { ensureChromium } from './lib/packages.mjs';

const [origin = 'http://127.0.0.1:4321', only] = process.argv.slice(2);
const folder = process.env.SOVET_SHOTS ?? join(import.meta.dirname, '../docs/screenshots');
const browser = await chromium.launch({
  executablePath: ensureChromium(),
  // The scan is drawn in three dimensions by software.
  args: [
    '--no-sandbox',
    '--disable-background-networking',
    '--use-gl=angle',
    '--use-angle=swiftshader',
    '--enable-unsafe-swiftshader',
  ],
});
const page = await browser.newPage({
  viewport: { width: 1280, height: 800 },
  colorScheme: process.env.SOVET_DARK ? 'dark' : 'light',
  reducedMotion: 'reduce',
});
page.on('pageerror', (error) => console.error('page error:', error.message));
page.on('console', (message) => message.type() === 'error' && console.error('console:', message.text()));

const shoot = async (name, action) => {
  if (only && !name.startsWith(only)) return;
  await action();
  await page.waitForTimeout(500);
  await page.screenshot({ path: join(folder, `${name}.png`) });
};
const find = async (name) => {
  await page.goto(`${origin}/patients?q=${name}`);
  await page.getByRole('table').getByRole('link').first().click();
  await page.waitForURL(/patients\/[0-9a-f]/);
};
let visit = '';
const step = (name, tab) => async () => {
  await page.goto(`${origin}/visits/${visit}#${name}`);
  await page.reload();
  await page.locator('[data-visit]').waitFor();
  if (tab) await page.getByRole('tab', { name: tab }).click();
};

await page.goto(`${origin}/sign-in`);
await page.waitForLoadState('networkidle');
await page.getByLabel('E-mail').fill('practitioner@harbour.example');
await page.getByLabel('Password').fill('low-tide-lantern');
await page.getByRole('button', { name: 'Sign in' }).click();
await page.waitForURL(/today/);
await shoot('today', async () => {});
await shoot('patient', async () => {
  await find('Marne');
  await page.waitForLoadState('networkidle');
});
await shoot('pair', async () => {
  await find('Marne');
  await page.getByRole('link', { name: 'Inspect it' }).first().click();
  await page.getByRole('group', { name: 'Folded in half' }).getByText('gives easily').click();
  await page.getByRole('group', { name: 'Foam stays pressed in' }).getByText('comes back').click();
});
await shoot('review', async () => {
  await find('Marne');
  await page.getByRole('link', { name: 'Review it' }).first().click();
  await page.getByRole('checkbox', { name: 'another insert, brace or sock' }).check({ force: true });
  await page.getByRole('button', { name: 'Looked for: none' }).click();
  for (const [label, value] of Object.entries({
    'Comfort, 0–100': '62',
    heel: '74',
    ball: '45',
    'Pain at its site, 0–10': '3',
    'Worn, hours a day': '6',
  }))
    await page.getByLabel(label, { exact: true }).fill(value);
  await page.getByRole('button', { name: 'left: ball' }).click();
  await page.getByText('on to the next pair', { exact: true }).click();
});
await shoot('sheet', async () => {
  await find('Marne');
  await page.getByRole('link', { name: 'Patient’s sheet' }).first().click();
});
await find('Pell');
await page.getByRole('button', { name: /visit/ }).click();
await page.waitForURL(/visits/);
visit = page.url().split('/').at(-1).split('#')[0];
await shoot('visit-ask', step('ask'));
/** Opens a device’s dialog and takes from the simulated one, with the settings given by label. */
const take = async (button, settings = {}) => {
  await page.getByRole('button', { name: button }).click();
  const dialog = page.getByRole('dialog');
  for (const [label, value] of Object.entries(settings))
    await dialog.getByLabel(label, { exact: true }).fill(value);
  await dialog.getByRole('button', { name: 'Take from the simulated device' }).click();
};
const sides = ['left', 'right'];
await shoot('visit-feet', step('feet'));
await shoot('visit-scan', async () => {
  await step('feet', 'Scan')();
  for (const side of sides) {
    await take(`Take a scan, ${side}`, {
      'length, mm': side === 'left' ? '268' : '271',
      'ball width, mm': '105',
    });
    await page.getByRole('button', { name: `Keep all, ${side}` }).waitFor();
  }
  await page.waitForTimeout(1000);
});
await shoot('visit-gait', async () => {
  await step('move', 'Gait clip')();
  await take('Load a clip');
  await page.getByRole('button', { name: 'Snap to the dots' }).click({ timeout: 60_000 });
  await page.getByRole('button', { name: 'standing, one leg', exact: true }).click();
  await page.getByRole('button', { name: 'Frame on' }).click();
  await page.getByRole('button', { name: 'Snap to the dots' }).click();
  await page.getByRole('button', { name: 'touchdown', exact: true }).click();
  await page.getByRole('button', { name: 'Follow to the end' }).click();
  await page.getByRole('button', { name: /Go to the highest, frame 1\d/ }).click();
  await page.getByRole('button', { name: 'peak', exact: true }).click();
});
await shoot('visit-reason', step('reason'));
await shoot('visit-what-if', async () => {
  await step('reason', 'What if')();
  await page.getByRole('slider', { name: /^Step rate/ }).fill('8');
  await page.getByRole('button', { name: 'Pin this' }).click();
  await page.getByRole('slider', { name: /^Drop/ }).fill('4');
  await page.getByRole('slider', { name: /^Rocker/ }).fill('2');
});
await shoot('visit-candidates', async () => {
  await step('candidates')();
  await page.getByRole('button', { name: /^Propose/ }).click();
  await page
    .getByRole('button', { name: /^All reasons/ })
    .first()
    .click();
});
await shoot('visit-try-on', async () => {
  await step('candidates')();
  await page.getByRole('button', { name: /^Propose/ }).click();
  await page.waitForTimeout(1200);
  await step('try-on')();
  const comfort = (letter, value) =>
    page
      .getByRole('region', { name: new RegExp(`^Pair ${letter}`) })
      .getByLabel('Comfort, 0–100')
      .fill(value);
  await comfort('A', '62');
  await comfort('B', '81');
  await page.getByLabel('Room in front, left').fill('6');
  await page.getByLabel('Room in front, right').fill('11');
  await page.getByRole('group', { name: 'Heel slip, left' }).getByText('slight', { exact: true }).click();
});
await shoot('visit-warnings', step('warnings'));
await shoot('shoes', async () => {
  await page.goto(`${origin}/shoes`);
  await page.waitForLoadState('networkidle');
  await page.getByRole('combobox', { name: 'Feature' }).selectOption({ label: 'Heel-to-toe drop' });
  await page.getByLabel('is', { exact: true }).fill('4–8 mm');
  await page.getByRole('button', { name: 'Filter', exact: true }).click();
});
await shoot('limb', async () => {
  await find('Tolliver');
  await page.getByRole('link', { name: 'Prosthetic side' }).click();
  await page.getByRole('tab', { name: 'Over months' }).click();
});
await shoot('insights', async () => {
  await page.goto(`${origin}/insights?show=guesses`);
  await page.locator('canvas').nth(1).waitFor();
});
await shoot('house-rules', async () => {
  await page.goto(`${origin}/knowledge`);
  await page.waitForLoadState('networkidle');
  await page.getByLabel(/^Search/).fill('older-or-falls');
  await page.getByRole('button', { name: 'Change here …' }).click();
  await page.getByRole('combobox', { name: 'In this clinic' }).selectOption('moderate');
  await page.getByLabel('Reason', { exact: true }).fill('too strong for our walkers of 65');
  await page.getByRole('button', { name: 'Into the draft' }).click();
  await page.getByRole('button', { name: 'Preview on past patients' }).click();
  await page.getByText(/specifications would change/).waitFor();
});
/** Pictures of a phone side by side in one. */
function sideBySide(shots, gap = 24) {
  const all = shots.map((bytes) => PNG.sync.read(bytes));
  const width = all.reduce((sum, shot) => sum + shot.width + gap, -gap);
  const whole = new PNG({ width, height: Math.max(...all.map((shot) => shot.height)), fill: true });
  whole.data.fill(255);
  let x = 0;
  for (const shot of all) {
    PNG.bitblt(shot, whole, 0, 0, shot.width, shot.height, x, 0);
    x += shot.width + gap;
  }
  return PNG.sync.write(whole);
}

if (!only || 'own-page'.startsWith(only)) {
  const ask = async (path) => (await page.request.get(`${origin}/api/v1${path}`)).json();
  const [warning] = (await ask('/today')).filter(({ kind }) => kind === 'home-warning');
  const { bornOn } = await ask(`/patients/${warning.patient.id}`);
  const { links } = await ask(`/patients/${warning.patient.id}/home`);
  const [year, month, day] = bornOn.split('-');
  const phone = await browser.newPage({
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    colorScheme: process.env.SOVET_DARK ? 'dark' : 'light',
    reducedMotion: 'reduce',
  });
  await phone.goto(`${origin}/home#${new URL(links[0].url).hash.slice(1)}`);
  await phone.getByLabel('Day').fill(day);
  await phone.getByLabel('Month').fill(month);
  await phone.getByLabel('Year').fill(year);
  await phone.getByRole('checkbox').check();
  await phone.getByRole('button', { name: 'Open', exact: true }).tap();
  await phone.getByRole('heading', { name: 'Today', exact: true }).waitFor();
  const shots = [await phone.screenshot()];
  await phone.getByRole('button', { name: 'Tell the clinic' }).tap();
  await phone.getByText('A blister or a sore spot').tap();
  await phone.getByRole('button', { name: 'Right foot: back of the heel' }).tap();
  shots.push(await phone.screenshot());
  await phone.getByRole('button', { name: 'Something is wrong' }).tap();
  await phone.getByRole('button', { name: 'hot or red' }).tap();
  await phone.getByRole('button', { name: 'Tell the clinic too' }).scrollIntoViewIfNeeded();
  shots.push(await phone.screenshot());
  writeFileSync(join(folder, 'own-page.png'), sideBySide(shots));
  await phone.close();
}
await browser.close();
