// Takes the pictures of docs/screenshots from a running demo: npm run screenshots [address] [one name]
import { join } from 'node:path';
import { chromium } from '@playwright/test';

const [origin = 'http://127.0.0.1:4321', only] = process.argv.slice(2);
const folder = process.env.SOVET_SHOTS ?? join(import.meta.dirname, '../docs/screenshots');
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
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
  await page
    .getByRole('button', { name: /Use and comfort/ })
    .first()
    .click();
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
await shoot('visit-aches', async () => {
  await step('ask', 'Aches')();
  await page.getByRole('checkbox', { name: 'ball of the foot, right' }).click();
  await page.getByRole('group', { name: 'How much, 0–10' }).getByText('4', { exact: true }).click();
});
await shoot('visit-feet', step('feet'));
await shoot('visit-posture', async () => {
  await step('load', 'Posture')();
  for (const side of sides) {
    const groups = await page.getByRole('group', { name: new RegExp(`, ${side}$`) }).all();
    for (const [at, group] of groups.entries())
      await group
        .getByText(['+1', '+1', '0', '+1', '+2', side === 'left' ? '+1' : '0'][at], { exact: true })
        .click();
  }
});
await shoot('visit-print', async () => {
  await step('feet', 'Footprint')();
  for (const side of sides) {
    await take(`Take a print, ${side}`);
    await page.getByRole('button', { name: `Keep, ${side}` }).waitFor();
  }
});
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
  await page.getByRole('button', { name: 'standing', exact: true }).click();
  await page.getByRole('button', { name: 'Frame on' }).click();
  await page.getByRole('button', { name: 'Snap to the dots' }).click();
  await page.getByRole('button', { name: 'touchdown', exact: true }).click();
  await page.getByRole('button', { name: 'Follow to the end' }).click();
  await page.getByRole('button', { name: /Go to the highest, frame 1\d/ }).click();
  await page.getByRole('button', { name: 'peak', exact: true }).click();
});
await shoot('visit-pressure', async () => {
  await step('move', 'Pressure')();
  for (const side of sides)
    for (const seed of ['1', '2', '3']) {
      await take(`Take a step, ${side}`, { seed, 'peak, kPa': String(400 + 15 * Number(seed)) });
      await page.getByRole('button', { name: `Step ${seed}, ${side}` }).waitFor();
    }
});
await shoot('visit-reason', step('reason'));
await shoot('visit-what-if', async () => {
  await step('reason', 'What if')();
  await page.getByRole('slider', { name: /^Step rate/ }).fill('8');
  await page.getByRole('button', { name: 'Pin this' }).click();
  await page.getByRole('slider', { name: /^Drop/ }).fill('4');
  await page.getByRole('slider', { name: /^Rocker/ }).fill('2');
});
await shoot('visit-candidates', step('candidates'));
await shoot('visit-try-on', async () => {
  await step('candidates')();
  await page.getByRole('button', { name: /Propose three/ }).click();
  await step('try-on')();
  const pair = page.getByRole('region', { name: /^Pair A/ });
  await pair.waitFor();
  await pair.getByLabel('Room in front').fill('6');
  await pair.getByLabel('Comfort, 0–100').fill('78');
  await pair.getByText('slight', { exact: true }).click();
});
await shoot('visit-warnings', step('warnings'));
await shoot('shoes', () => page.goto(`${origin}/shoes`));
await shoot('knowledge', () => page.goto(`${origin}/knowledge`));
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
await browser.close();
